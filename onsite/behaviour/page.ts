import pack from './pack'
import photos from './photos'
import slide from './slide'

/** On a display's page of its own, where no loader wakes it. */
for (const wake of [pack, slide, photos]) wake(document)

import dates from './dates'
import origins from './origins'
import pack from './pack'
import pages from './pages'
import photos from './photos'
import said from './said'
import slide from './slide'

/** Activates the modules on a display's own page, which has no loader. */
for (const activate of [said, dates, pack, slide, photos, origins, pages]) activate(document)

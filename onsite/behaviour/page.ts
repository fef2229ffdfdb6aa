import dates from './dates'
import origins from './origins'
import pack from './pack'
import pages from './pages'
import photos from './photos'
import notes from './notes'
import slide from './slide'

/** Activates the modules on a display's own page, which has no loader. */
for (const activate of [notes, dates, pack, slide, photos, origins, pages]) activate(document)

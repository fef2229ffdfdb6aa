import { everything } from '../curation/selection'
import type { Configuration } from './configuration'
import { headingBlocks } from './choices'
import { recordOf } from '../formats/keysOf'
import { reviewParts, switchedParts } from './reviewParts'
import { startingTheme } from './startingTheme'

/** The settings of a new display. */
export const startingConfiguration: Configuration = {
  schema: 3,
  title: '',
  selection: everything,
  layout: {
    kind: 'grid',
    marks: [430, 760, 1120],
    columns: 3,
    autoplay: 0,
    step: 1,
    speed: 'usual',
    arrows: true,
    dots: true,
    paging: 'none',
    edgeSide: 'right',
    tableColumns: [],
  },
  parts: {
    ...recordOf(switchedParts, (part) => reviewParts[part].shown),
    name: 'firstInitial',
    date: 'hidden',
    datePattern: 'd MMM yyyy',
    rating: 'glyphs',
    glyph: 'star',
    shortened: 0,
    origin: 'link',
  },
  heading: {
    line: '',
    average: true,
    count: true,
    write: true,
    all: false,
    siteNumbers: true,
    allThere: false,
    writeThere: false,
    byOrigin: false,
    business: 'none',
    shop: 'none',
    bars: false,
    order: [...headingBlocks],
    button: { words: '', url: '' },
  },
  theme: startingTheme,
  bands: {},
  placement: { place: 'front', url: '', spot: '' },
  whenEmpty: 'invitation',
  description: '',
  picture: '',
}

import type { Configuration } from '../../core/display/configuration'
import { ownSources } from '../../core/intake/sourcePolicy'
import { startingConfiguration as start } from '../../core/display/startingConfiguration'
import { themeOfLook } from '../../core/display/looks'
import type { DisplayStory } from '../story'

const display = (
  key: string,
  name: string,
  path: string,
  changed: Partial<Configuration>,
  more: Pick<Partial<DisplayStory>, 'live' | 'listings' | 'forms'> = {},
): DisplayStory => ({ key, name, path, configuration: { ...start, ...changed }, live: true, ...more })

/** What came to the shop itself. */
const own = { ...start.selection, sources: ownSources }

const onPage = { ...start.selection, products: { kind: 'page' as const } }

/** Ten published displays and a draft, in looks that differ. */
export const displays: DisplayStory[] = [
  display('front-page', 'Front page', '/', {
    title: 'Kept bees a year longer',
    selection: own,
    layout: { ...start.layout, kind: 'masonry' },
    heading: { ...start.heading, all: true },
    placement: { ...start.placement, place: 'front' },
  }),
  display('product-page', 'Product pages', '/goods/hk-2', {
    title: 'From people who bought it',
    selection: { ...onPage, limit: 5, order: 'verified' },
    layout: { ...start.layout, kind: 'list', paging: 'more' },
    theme: themeOfLook('ledger'),
    parts: { ...start.parts, product: false, date: 'month', shortened: 40 },
    placement: { ...start.placement, place: 'product' },
  }),
  display('beside-names', 'Beside names', '/goods', {
    selection: onPage,
    layout: { ...start.layout, kind: 'ratingLine' },
    placement: { ...start.placement, place: 'products' },
  }),
  display('side-column', 'Journal, side column', '/journal', {
    selection: { ...own, limit: 5, withWords: true },
    layout: { ...start.layout, kind: 'single', autoplay: 8 },
    theme: themeOfLook('quotation'),
    parts: { ...start.parts, shortened: 30 },
    heading: { ...start.heading, write: false },
    placement: { ...start.placement, place: 'side' },
  }),
  display(
    'summer-band',
    'Summer band',
    '/',
    {
      title: 'What the season said',
      selection: { ...own, limit: 9, ratings: [4, 5], order: 'highest' },
      layout: { ...start.layout, kind: 'carousel' },
      theme: { ...themeOfLook('field'), colour: '#f3e3b3' },
    },
    { live: false },
  ),
  display(
    'on-the-map',
    'From Lanternway',
    '/journal',
    {
      title: 'What the map says of us',
      selection: { ...start.selection, limit: 6, withWords: true },
      layout: { ...start.layout, kind: 'grid' },
      theme: themeOfLook('cuttings'),
      parts: { ...start.parts, date: 'month', origin: 'newTab' },
      heading: { ...start.heading, average: false, count: false, allThere: true },
      placement: { ...start.placement, place: 'elsewhere' },
    },
    { listings: ['LW7Q4K2M9A'] },
  ),
  display(
    'tasting-day',
    'Tasting afternoon, answers',
    '/tasting',
    {
      title: 'What guests took home',
      selection: { ...start.selection, limit: 12 },
      layout: {
        ...start.layout,
        kind: 'table',
        tableColumns: [
          { key: 'name', heading: 'Guest', hidden: false, setOff: false },
          { key: 'words', heading: 'What will you remember?', hidden: false, setOff: false },
          { key: 'answer:Favourite honey', heading: '', hidden: false, setOff: true },
        ],
      },
      parts: { ...start.parts, date: 'day', origin: 'hidden' },
      heading: { ...start.heading, average: false, count: false, siteNumbers: false, write: false },
      placement: { ...start.placement, place: 'elsewhere' },
    },
    { listings: ['/sheets/tasting-day.csv'] },
  ),
  display(
    'clubs-answer',
    'What clubs order',
    '/journal',
    {
      title: 'Clubs and companies on ordering for many',
      selection: { ...start.selection, limit: 12 },
      layout: {
        ...start.layout,
        kind: 'table',
        tableColumns: [
          { key: 'name', heading: '', hidden: false, setOff: false },
          { key: 'rating', heading: '', hidden: false, setOff: false },
          { key: 'words', heading: 'What others should know', hidden: false, setOff: false },
          { key: 'answer:clubhives', heading: '', hidden: false, setOff: true },
          { key: 'answer:clubneeds', heading: '', hidden: false, setOff: false },
        ],
      },
      theme: themeOfLook('ledger'),
      heading: { ...start.heading, write: false },
      placement: { ...start.placement, place: 'elsewhere' },
    },
    { forms: ['clubs'] },
  ),
  display('everywhere', 'From everywhere', '/', {
    title: 'What people say, wherever they say it',
    selection: { ...start.selection, limit: 12 },
    layout: { ...start.layout, kind: 'list' },
    theme: themeOfLook('margin'),
    heading: { ...start.heading, byOrigin: true },
    placement: { ...start.placement, place: 'own' },
  }),
  display('at-the-edge', 'At the edge of the tasting page', '/tasting', {
    title: 'What the shop is like',
    selection: { ...own, limit: 12, order: 'balanced', withWords: true },
    layout: { ...start.layout, kind: 'edge' },
    theme: themeOfLook('sheets'),
    placement: { ...start.placement, place: 'elsewhere' },
  }),
  display('all-in-numbers', 'In numbers', '/goods', {
    title: 'In numbers',
    layout: { ...start.layout, kind: 'aggregate' },
    placement: { ...start.placement, place: 'elsewhere' },
  }),
]

import type { Configuration } from '../../core/display/configuration'
import { startingConfiguration as start } from '../../core/display/startingConfiguration'
import type { DisplayStory } from '../story'

const display = (
  key: string,
  name: string,
  path: string,
  changed: Partial<Configuration>,
  live = true,
): DisplayStory => ({ key, name, path, configuration: { ...start, ...changed }, live })

const onPage = { ...start.selection, products: { kind: 'page' as const } }

/** Four published displays and a draft. */
export const displays: DisplayStory[] = [
  display('front-page', 'Front page', '/', {
    title: 'Kept bees a year longer',
    layout: { ...start.layout, kind: 'masonry' },
    heading: { ...start.heading, all: true },
    placement: { ...start.placement, place: 'front' },
  }),
  display('product-page', 'Product pages', '/goods/hk-2', {
    title: 'From people who bought it',
    selection: { ...onPage, limit: 8, order: 'verified' },
    layout: { ...start.layout, kind: 'list' },
    parts: { ...start.parts, product: false, date: 'month', shortened: 40 },
    placement: { ...start.placement, place: 'product' },
  }),
  display('beside-names', 'Beside names', '/goods', {
    selection: onPage,
    layout: { ...start.layout, kind: 'ratingLine' },
    placement: { ...start.placement, place: 'products' },
  }),
  display('side-column', 'Journal, side column', '/journal', {
    selection: { ...start.selection, limit: 5, withWords: true },
    layout: { ...start.layout, kind: 'single', autoplay: 8 },
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
      selection: { ...start.selection, limit: 9, ratings: [4, 5], order: 'highest' },
      layout: { ...start.layout, kind: 'carousel' },
      theme: { ...start.theme, background: 'colour', colour: '#f3e3b3', frame: 'none' },
    },
    false,
  ),
]

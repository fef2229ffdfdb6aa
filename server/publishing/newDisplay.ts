import { recordOf } from '../../core/formats/keysOf'
import type { Selection } from '../../core/curation/selectionSchema'
import { layouts, type Layout } from '../../core/display/choices'
import type { Configuration } from '../../core/display/configuration'
import { isTable, layoutTraits } from '../../core/display/layoutTraits'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { say } from '../../core/messages/say/everything'
import { renderDisplay } from '../../onsite/render'
import { startingThemeOf } from '../data/looks'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { composer } from './compose'
import { pageLook } from './editorView'
import { addDisplay, DISPLAY_NAME_LIMIT } from './manage'
import type { StartingLooks } from './showViews'

/** The initial settings of a layout. */
export function startOf(layout: Layout): Configuration {
  const { selection, placement } = startingConfiguration
  const { place, limit, products } = layoutTraits[layout].start
  return {
    ...startingConfiguration,
    selection: { ...selection, limit, products: { kind: products } },
    layout: { ...startingConfiguration.layout, kind: layout },
    placement: { ...placement, place },
    // A table is read by its newest rows, so it says when they were written.
    ...(isTable(layout) && { parts: { ...startingConfiguration.parts, date: 'day' as const } }),
  }
}

/** Previews of all layouts with the shop's own reviews. */
export async function looksToStartFrom(services: Services, shop: Shop): Promise<StartingLooks> {
  const { compose, publishable } = await composer(services, shop)
  const theme = await startingThemeOf(services.db, shop.id)
  const looks = await Promise.all(
    layouts.map(async (layout) => {
      const start = startOf(layout)
      const { model } = await compose({ ...start, theme: theme ?? start.theme }, { key: '', samples: true })
      return [layout, renderDisplay(model)] as const
    }),
  )
  const rendered = new Map(looks)
  return {
    looks: recordOf(layouts, (layout) => rendered.get(layout)!),
    look: pageLook(shop),
    samples: publishable.size === 0,
  }
}

/** Creates a display with a layout, in the style that the shop's new displays start with. Returns its key. */
export async function startDisplay(
  services: Services,
  shop: Shop,
  layout: Layout,
  {
    name = say(`show.look.${layout}.name`),
    selection = {},
  }: { name?: string; selection?: Partial<Selection> } = {},
): Promise<string> {
  const theme = await startingThemeOf(services.db, shop.id)
  const start = startOf(layout)
  return addDisplay(services, shop, name.slice(0, DISPLAY_NAME_LIMIT), {
    ...start,
    selection: { ...start.selection, ...selection },
    theme: theme ?? start.theme,
  })
}

import { layouts, type Layout } from '../../core/display/choices'
import type { Configuration, Placement } from '../../core/display/configuration'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { say } from '../../core/messages/say/everything'
import { renderDisplay, type PageLook, type RenderedDisplay } from '../../onsite/render'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { composer } from './compose'
import { pageLook } from './editorView'
import { addDisplay } from './manage'

const usualPlace: Partial<Record<Layout, Placement['place']>> = {
  single: 'side',
  badge: 'footer',
  ratingLine: 'products',
  list: 'product',
}

/** The initial settings of a layout. */
export function startOf(layout: Layout): Configuration {
  const { selection, placement } = startingConfiguration
  const many = layout === 'masonry' || layout === 'carousel'
  const onProduct = layout === 'ratingLine' || layout === 'list'
  return {
    ...startingConfiguration,
    selection: {
      ...selection,
      limit: many ? 9 : selection.limit,
      products: onProduct ? { kind: 'page' } : selection.products,
    },
    layout: { ...startingConfiguration.layout, kind: layout },
    placement: { ...placement, place: usualPlace[layout] ?? 'front' },
  }
}

/** Previews of all layouts with the shop's own reviews. */
export async function looksToStartFrom(
  services: Services,
  shop: Shop,
): Promise<{ looks: Record<Layout, RenderedDisplay>; look: PageLook; samples: boolean }> {
  const { compose, publishable } = await composer(services, shop)
  const looks = await Promise.all(
    layouts.map(async (layout) => {
      const { model } = await compose(startOf(layout), { key: '', samples: true })
      return [layout, renderDisplay(model)]
    }),
  )
  return {
    looks: Object.fromEntries(looks) as Record<Layout, RenderedDisplay>,
    look: pageLook(shop),
    samples: publishable.size === 0,
  }
}

/** Creates a display with a layout. Returns its key. */
export function startDisplay(services: Services, shop: Shop, layout: Layout): Promise<string> {
  return addDisplay(services, shop, say(`show.look.${layout}.name`), startOf(layout))
}

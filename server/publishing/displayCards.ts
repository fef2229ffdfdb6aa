import { changesBetween } from '../../core/messages/display/changes'
import { sentenceText } from '../../core/messages/display/sentence'
import { renderDisplay, type PageLook, type RenderedDisplay } from '../../onsite/render'
import { displaysOfShop } from '../data/displays'
import type { PageSeen } from '../data/displaySeen'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { composer, namesIn } from './compose'
import { pageLook } from './editorView'
import { pagesOfDisplay } from './seen'

export interface DisplayCard {
  key: string
  name: string
  sentence: string
  state: 'draft' | 'draftDiffers' | 'live'
  /** The number of parts of the draft that are not published. */
  changes: number
  preview: RenderedDisplay
  look: PageLook
  /** The pages it was seen on, latest first. */
  seen: PageSeen[]
}

/** The displays of a shop, each with a preview of its draft, and those that can't be read. */
export async function displayCards(
  services: Services,
  shop: Shop,
): Promise<{ cards: DisplayCard[]; unreadable: { key: string; name: string }[] }> {
  const { displays, unreadable } = await displaysOfShop(services.db, shop.id)
  const { compose, present, shop: forDisplays } = await composer(services, shop)
  const cards = await Promise.all(
    displays.map(async ({ id, key, name, draft, live }) => {
      const changes = live
        ? changesBetween(present(live.configuration), present(draft.configuration), namesIn(forDisplays))
            .length
        : 0
      return {
        key,
        name,
        sentence: sentenceText(present(draft.configuration), namesIn(forDisplays)),
        state:
          live === null ? ('draft' as const) : changes > 0 ? ('draftDiffers' as const) : ('live' as const),
        changes,
        preview: renderDisplay((await compose(draft.configuration, { key, samples: true })).model),
        look: pageLook(shop),
        seen: await pagesOfDisplay(services, shop, id),
      }
    }),
  )
  return { cards, unreadable }
}

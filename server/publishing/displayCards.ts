import { z } from 'zod'
import { changedParts } from '../../core/display/changedParts'
import { CARDS_OF_PAGE } from '../../core/display/paging'
import { sentenceText } from '../../core/messages/display/sentence'
import { renderDisplay, type RenderedDisplay } from '../../onsite/render'
import { displayCounts, displaysOfShop, wasEverPublished } from '../data/displays'
import { snapshotsOf } from '../data/snapshots'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { composer } from './compose'
import { pageLook } from './editorView'
import { pagesOfDisplay } from './seen'
import type { DisplayCard, DisplayCards } from './showViews'

/**
 * A page of the displays of a shop, each with a preview of its draft.
 * @param words in their names
 * @param page counted from 1
 */
export async function displayCards(
  services: Services,
  shop: Shop,
  { words = '', page = 1 }: { words?: string; page?: number } = {},
): Promise<DisplayCards> {
  const { db } = services
  const counts = await displayCounts(db, shop.id, words)
  const { displays, unreadable } = await displaysOfShop(db, shop.id, {
    words,
    limit: CARDS_OF_PAGE,
    offset: (page - 1) * CARDS_OF_PAGE,
  })
  const { compose, present, names } = await composer(services, shop)
  const snapshots = await snapshotsOf(
    db,
    displays.map(({ id }) => id),
  )
  const cards: DisplayCard[] = []
  for (const { id, key, name, draft, live } of displays) {
    const configuration = await present(draft.configuration)
    const changes = live ? changedParts(await present(live.configuration), configuration).length : 0
    cards.push({
      key,
      name,
      sentence: sentenceText(configuration, names()),
      state: live === null ? 'draft' : changes > 0 ? 'draftDiffers' : 'live',
      wasPublished: live !== null || (await wasEverPublished(db, shop.id, id)),
      changes,
      preview:
        (live && changes === 0 && asPublished(snapshots.get(id), live.id)) ||
        renderDisplay((await compose(configuration, { key, samples: true })).model),
      look: pageLook(shop),
      seen: await pagesOfDisplay(services, shop, id),
    })
    // Other requests go on between two previews.
    await new Promise(setImmediate)
  }
  return { cards, unreadable, counts }
}

const rendered = z.object({ html: z.string(), css: z.string() })

/** What visitors get of a version, if it is rendered; null otherwise. */
function asPublished(
  snapshot: { versionId: number; body: string } | undefined,
  versionId: number,
): RenderedDisplay | null {
  if (snapshot?.versionId !== versionId) return null
  return { ...rendered.parse(JSON.parse(snapshot.body)), behaviours: [] }
}

import { displayModel } from '../../core/display/displayModel'
import type { Configuration } from '../../core/display/configuration'
import { renderDisplay, renderPage } from '../../onsite/render'
import { findDisplay } from '../data/displays'
import { formsOfShop } from '../data/forms'
import { showableReviews } from '../data/showableReviews'
import { findShop, type Shop } from '../data/shops'
import { storeSnapshot, type Snapshot } from '../data/snapshots'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { strongEtag } from './etag'

/** Where published bytes go: whoever answers visitors. */
export interface Publication {
  put: (key: string, snapshot: Pick<Snapshot, 'body' | 'page'>) => void
}

/** What a configuration shows now: the picked reviews and all that the output is made from. */
export async function composeDisplay(
  services: Services,
  shop: Shop,
  configuration: Configuration,
  { samples = false } = {},
) {
  const { db, now, publicUrl } = services
  const form = (await formsOfShop(db, shop.id)).find(({ open }) => open)
  return displayModel({
    configuration,
    shop,
    reviews: await showableReviews(db, shop.id),
    mediaUrl: `${publicUrl}/media/`,
    writeUrl: form ? `${publicUrl}/f/${form.slug}` : null,
    now: now().toISOString(),
    samples,
  })
}

/** The one way out: renders a display's live version, keeps the bytes and hands them to whoever answers visitors. */
export async function publish(
  services: Services,
  publication: Publication,
  shopId: number,
  displayId: number,
): Promise<void> {
  const { db, now } = services
  const display = await findDisplay(db, shopId, { id: displayId })
  if (!display?.live) return
  const shop = await findShop(db, shopId)
  const { model, picked } = await composeDisplay(services, shop, display.live.configuration)
  const { average, count } = model.tally
  const body = JSON.stringify({
    key: display.key,
    version: display.live.number,
    ...renderDisplay(model),
    jsonLd: null,
    stats: { average: average === null ? null : Math.round(average) / 100, count, shown: picked.length },
    more: null,
  })
  const snapshot = {
    displayId,
    shopId,
    versionId: display.live.id,
    etag: strongEtag(body),
    body,
    page: renderPage(model),
  }
  await writing(db, (trx) =>
    storeSnapshot(
      trx,
      snapshot,
      picked.map(({ id }) => id),
      now().toISOString(),
    ),
  )
  publication.put(display.key, snapshot)
  services.changes.announce(shopId)
}

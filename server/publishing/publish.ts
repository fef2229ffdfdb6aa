import { scopeOf } from '../../core/curation/selection'
import type { DisplayModel } from '../../core/display/displayModel'
import { jsonLdOf } from '../../core/display/jsonLd'
import { renderDisplay } from '../../onsite/render'
import { markFresh, staleDisplays, type StaleDisplay } from '../data/staleDisplays'
import { skuKey } from '../data/products'
import { findShop } from '../data/shops'
import { storeSnapshot } from '../data/snapshots'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { composer, type Composer } from './compose'
import { strongEtag } from './etag'

const BATCH = 10

/** Renders the changed displays of a shop, stores them, and publishes them. The most recently requested come first. */
export async function publishStale(
  services: Services,
  { shopId, latestAsked }: { shopId: number; latestAsked: string[] },
): Promise<void> {
  const { db, now } = services
  const latest = new Map(latestAsked.map((key, i) => [key, i]))
  const place = ({ key }: StaleDisplay) => latest.get(key) ?? latest.size
  const stale = (await staleDisplays(db, shopId)).toSorted((a, b) => place(a) - place(b))
  if (stale.length === 0) return
  const composing = await composer(services, await findShop(db, shopId))
  for (let from = 0; from < stale.length; from += BATCH) {
    const rendered: Awaited<ReturnType<typeof renderLive>>[] = []
    for (const display of stale.slice(from, from + BATCH)) {
      rendered.push(await renderLive(services, composing, shopId, display))
      // Lets requests run between two displays.
      await new Promise(setImmediate)
    }
    const put = await writing(db, async (trx) => {
      const kept = []
      for (const one of rendered) {
        if (!(await markFresh(trx, one.display))) continue
        await storeSnapshot(trx, one.snapshot, one.shown, now().toISOString())
        kept.push(one)
      }
      return kept
    })
    for (const { display, snapshot } of put)
      services.published({ shopId, key: display.key, address: display.address, body: snapshot.body })
  }
  services.changes.announce(shopId, 'reviews')
}

async function renderLive(services: Services, composing: Composer, shopId: number, display: StaleDisplay) {
  const { model, picked } = await composing.compose(display.live.configuration, { key: display.key })
  const { selection } = await composing.present(display.live.configuration)
  const body = JSON.stringify(displayAnswer(services, display, model))
  return {
    display,
    shown: picked.map(({ id }) => id),
    snapshot: {
      displayId: display.id,
      shopId,
      versionId: display.live.id,
      etag: strongEtag(body),
      body,
      scope: scopeOf(selection)?.map(skuKey) ?? null,
      byTags: selection.tags.length > 0,
    },
  }
}

/** The JSON that the loader requests. */
export function displayAnswer(
  { behaviours, publicUrl }: Pick<Services, 'behaviours' | 'publicUrl'>,
  display: { key: string; live: { number: number } },
  model: DisplayModel,
) {
  const { html, css } = renderDisplay(model, behaviours)
  const { average, count } = model.tally
  return {
    key: display.key,
    version: display.live.number,
    language: model.language,
    html,
    css,
    jsonLd: jsonLdOf(model, `${publicUrl}/d/${display.key}`),
    stats: {
      average: average === null ? null : Math.round(average) / 100,
      count,
      shown: model.quotations.length,
    },
    more: null,
  }
}

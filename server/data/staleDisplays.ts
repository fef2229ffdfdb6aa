import type { Knex } from 'knex'
import { readable, versionColumns, type DisplayVersion } from './displays'
import { tables } from './schema/tables'
import { hasRows, pick, readAll } from './select'

/** Marks one published display of a shop, or all, for rendering. */
export async function markDisplaysStale(
  trx: Knex.Transaction,
  shopId: number,
  displayId?: number,
): Promise<void> {
  await liveDisplays(trx, shopId)
    .where({ ...(displayId !== undefined && { id: displayId }) })
    .increment('stale', 1)
}

/** Marks the displays with any of some products in their scope. Keys of SKUs; null for no product. */
export async function markScopesStale(
  trx: Knex.Transaction,
  shopId: number,
  skuKeys: (string | null)[],
): Promise<void> {
  const keys = JSON.stringify(skuKeys.filter((key) => key !== null))
  await marked(
    liveDisplays(trx, shopId),
    `scope IS NULL OR EXISTS (SELECT 1 FROM json_each(scope) AS one JOIN json_each(?) AS other
      ON one.value = other.value)`,
    [keys],
  )
}

/** Marks the displays that show a review and, if its tags changed, those that select by tags. */
export async function markShowingStale(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  tagsChanged: boolean,
): Promise<void> {
  await marked(
    liveDisplays(trx, shopId),
    `(? AND by_tags) OR EXISTS (SELECT 1 FROM snapshot_review
      WHERE snapshot_review.snapshot_id = snapshot.id AND snapshot_review.review_id = ?)`,
    [tagsChanged, reviewId],
  )
}

const liveDisplays = (trx: Knex, shopId: number) =>
  trx('display').where({ shop_id: shopId }).whereNotNull('live_version_id')

/** A display that is being rendered can already contain what it was before, so its mark counts up. */
async function marked(
  displays: Knex.QueryBuilder,
  condition: string,
  values: Knex.RawBinding[],
): Promise<void> {
  await displays
    .whereRaw(
      `(stale > 0 OR NOT EXISTS (SELECT 1 FROM snapshot WHERE snapshot.display_id = display.id
          AND snapshot.version_id = display.live_version_id)
        OR EXISTS (SELECT 1 FROM snapshot WHERE snapshot.display_id = display.id AND (${condition})))`,
      values,
    )
    .increment('stale', 1)
}

export async function hasLiveDisplay(db: Knex, shopId: number): Promise<boolean> {
  return hasRows(liveDisplays(db, shopId))
}

/** A display to render; `stale` counts the requests for it. */
export interface StaleDisplay {
  id: number
  key: string
  stale: number
  address: string | null
  live: DisplayVersion
}

export async function staleDisplays(db: Knex, shopId: number): Promise<StaleDisplay[]> {
  const rows = await readAll(
    db('display')
      .join('display_version', 'display_version.id', 'display.live_version_id')
      .where('display.shop_id', shopId)
      .where('display.stale', '>', 0),
    { ...versionColumns, displayId: tables.display.id, ...pick(tables.display, 'key', 'stale', 'address') },
  )
  return rows.flatMap(({ displayId, key, stale, address, ...version }) => {
    const live = readable(version)
    // One that can't be read stays as it was rendered.
    return live ? [{ id: displayId, key, stale, address, live }] : []
  })
}

/** Clears the mark, unless there was another request or another version was published meanwhile. */
export async function markFresh(trx: Knex.Transaction, display: StaleDisplay): Promise<boolean> {
  const changed = await trx('display')
    .where({ id: display.id, stale: display.stale, live_version_id: display.live.id })
    .update({ stale: 0 })
  return changed > 0
}

import type { Knex } from 'knex'
import { readVersion, versionColumns, type DisplayVersion, type VersionRow } from './displays'

/** Marks one published display of a shop, or all, for rendering. Returns how many. */
export async function markDisplaysStale(
  trx: Knex.Transaction,
  shopId: number,
  displayId?: number,
): Promise<number> {
  return trx('display')
    .where({ shop_id: shopId, ...(displayId !== undefined && { id: displayId }) })
    .whereNotNull('live_version_id')
    .increment('stale', 1)
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
  const rows: (VersionRow & { displayId: number; key: string; stale: number; address: string | null })[] =
    await db('display')
      .join('display_version', 'display_version.id', 'display.live_version_id')
      .where('display.shop_id', shopId)
      .where('display.stale', '>', 0)
      .select({ ...versionColumns, displayId: 'display.id', key: 'key', stale: 'stale', address: 'address' })
  return rows.map(({ displayId, key, stale, address, ...version }) => ({
    id: displayId,
    key,
    stale,
    address,
    live: readVersion(version),
  }))
}

/** Clears the mark, unless there was another request or another version was published meanwhile. */
export async function markFresh(trx: Knex.Transaction, display: StaleDisplay): Promise<boolean> {
  const changed = await trx('display')
    .where({ id: display.id, stale: display.stale, live_version_id: display.live.id })
    .update({ stale: 0 })
  return changed > 0
}

import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insert, insertAll, whereOf } from './rows'
import { pick, readAll, type Selected } from './select'
import type { Part } from './table'

const columns = pick(tables.snapshot, 'displayId', 'shopId', 'versionId', 'etag', 'body')
/** The rendered bytes of a published version. */
type Snapshot = Selected<typeof columns>
/** What a snapshot depends on. */
const scopeColumns = pick(tables.snapshot, 'scope', 'byTags')

/** The variant without a product, language or theme. */
const PLAIN = ''

/** Replaces the snapshot of a display and the list of reviews in it. */
export async function storeSnapshot(
  trx: Knex.Transaction,
  snapshot: Snapshot & Selected<typeof scopeColumns>,
  reviewIds: number[],
  now: string,
): Promise<void> {
  const { shopId, displayId } = snapshot
  await trx('snapshot')
    .where(whereOf(tables.snapshot, { displayId, variant: PLAIN }))
    .delete()
  const snapshotId = await insert(trx, tables.snapshot, { ...snapshot, variant: PLAIN, renderedAt: now })
  await insertAll(
    trx,
    tables.snapshotReview,
    reviewIds.map((reviewId) => ({ shopId, snapshotId, reviewId })),
  )
}

type LiveSnapshot = Snapshot & { key: string; address: string | null }

/** All snapshots of a shop. */
export async function snapshotsOfShop(db: Knex, shopId: number): Promise<LiveSnapshot[]> {
  return snapshots(db, { shopId })
}

/** What visitors get of some displays, by display. */
export async function snapshotsOf(
  db: Knex,
  displayIds: number[],
): Promise<Map<number, Pick<Snapshot, 'versionId' | 'body'>>> {
  const rows = await readAll(
    db('snapshot').whereIn('display_id', displayIds).where({ variant: PLAIN }),
    pick(tables.snapshot, 'displayId', 'versionId', 'body'),
  )
  return new Map(rows.map(({ displayId, ...snapshot }) => [displayId, snapshot]))
}

/** All snapshots of the installation. */
export async function allSnapshots(db: Knex): Promise<LiveSnapshot[]> {
  return snapshots(db)
}

function snapshots(db: Knex, of: Part<typeof tables.display> = {}): Promise<LiveSnapshot[]> {
  return readAll(
    db('snapshot')
      .join('display', 'display.id', 'snapshot.display_id')
      .where({ variant: PLAIN, ...whereOf(tables.display, of) })
      .whereRaw('snapshot.version_id = display.live_version_id'),
    { ...columns, ...pick(tables.display, 'key', 'address') },
  )
}

/** The displays that show a review to visitors now. */
export async function displaysWithReview(
  db: Knex,
  shopId: number,
  reviewId: number,
): Promise<{ key: string; name: string }[]> {
  return readAll(
    db('snapshot_review')
      .join('snapshot', 'snapshot.id', 'snapshot_review.snapshot_id')
      .join('display', 'display.id', 'snapshot.display_id')
      .where(whereOf(tables.snapshotReview, { shopId, reviewId })),
    pick(tables.display, 'key', 'name'),
  )
}

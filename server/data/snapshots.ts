import type { Knex } from 'knex'

/** The rendered bytes of a published version. */
interface Snapshot {
  displayId: number
  shopId: number
  versionId: number
  etag: string
  body: string
}

/** What a snapshot depends on. */
interface SnapshotScope {
  /** Keys of SKUs; null for all products. */
  scope: string[] | null
  byTags: boolean
}

/** The variant without a product, language or theme. */
const PLAIN = ''

/** Replaces the snapshot of a display and the list of reviews in it. */
export async function storeSnapshot(
  trx: Knex.Transaction,
  snapshot: Snapshot & SnapshotScope,
  reviewIds: number[],
  now: string,
): Promise<void> {
  await trx('snapshot').where({ display_id: snapshot.displayId, variant: PLAIN }).delete()
  const [id] = await trx('snapshot').insert({
    shop_id: snapshot.shopId,
    display_id: snapshot.displayId,
    variant: PLAIN,
    version_id: snapshot.versionId,
    etag: snapshot.etag,
    body: snapshot.body,
    scope: snapshot.scope && JSON.stringify(snapshot.scope),
    by_tags: snapshot.byTags,
    rendered_at: now,
  })
  if (reviewIds.length === 0) return
  await trx('snapshot_review').insert(
    reviewIds.map((review_id) => ({ shop_id: snapshot.shopId, snapshot_id: id, review_id })),
  )
}

type LiveSnapshot = Snapshot & { key: string; address: string | null }

/** All snapshots of a shop. */
export async function snapshotsOfShop(db: Knex, shopId: number): Promise<LiveSnapshot[]> {
  return snapshots(db).where({ 'display.shop_id': shopId })
}

/** What visitors get of some displays, by display. */
export async function snapshotsOf(
  db: Knex,
  displayIds: number[],
): Promise<Map<number, Pick<Snapshot, 'versionId' | 'body'>>> {
  const rows: Pick<Snapshot, 'displayId' | 'versionId' | 'body'>[] = await db('snapshot')
    .whereIn('display_id', displayIds)
    .where({ variant: PLAIN })
    .select({ displayId: 'display_id', versionId: 'version_id', body: 'body' })
  return new Map(rows.map(({ displayId, ...snapshot }) => [displayId, snapshot]))
}

/** All snapshots of the installation. */
export async function allSnapshots(db: Knex): Promise<LiveSnapshot[]> {
  return snapshots(db)
}

function snapshots(db: Knex) {
  return db('snapshot')
    .join('display', 'display.id', 'snapshot.display_id')
    .where({ variant: PLAIN })
    .whereRaw('snapshot.version_id = display.live_version_id')
    .select<LiveSnapshot[]>({
      displayId: 'snapshot.display_id',
      shopId: 'snapshot.shop_id',
      versionId: 'snapshot.version_id',
      etag: 'snapshot.etag',
      body: 'snapshot.body',
      key: 'display.key',
      address: 'display.address',
    })
}

/** The displays that show a review to visitors now. */
export async function displaysWithReview(
  db: Knex,
  shopId: number,
  reviewId: number,
): Promise<{ key: string; name: string }[]> {
  return db('snapshot_review')
    .join('snapshot', 'snapshot.id', 'snapshot_review.snapshot_id')
    .join('display', 'display.id', 'snapshot.display_id')
    .where({ 'snapshot_review.shop_id': shopId, 'snapshot_review.review_id': reviewId })
    .select({ key: 'display.key', name: 'display.name' })
}

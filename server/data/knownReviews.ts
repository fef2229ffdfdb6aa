import type { Knex } from 'knex'
import type { Review, ReviewVersion } from '../../core/intake/review'
import type { StoredState } from '../../core/moderation/rules'
import { tables } from './schema/tables'
import { pick, readAll, type Selected } from './select'

/** The identity of a review under the columns that hold it. */
export interface StoredIdentity {
  reviewId: number | null
  tokenHash: string | null
  origin: string
  externalKey: string | null
}

/** A stored review that a candidate is compared with. */
export interface KnownReview
  extends
    Pick<Review, 'id' | 'publicId' | 'versionId'>,
    Pick<ReviewVersion, 'title' | 'body' | 'authorName' | 'rating' | 'answers'> {
  state: StoredState
}

const columns = {
  ...pick(tables.review, 'id', 'publicId', 'state', 'tokenHash', 'origin', 'externalKey'),
  ...pick(tables.reviewVersion, 'title', 'body', 'authorName', 'rating', 'answers'),
  versionId: tables.review.currentVersionId,
}
type Row = Selected<typeof columns>

/** The stored reviews with some identities; null where there is none. */
export async function knownReviews(
  db: Knex,
  shopId: number,
  identities: StoredIdentity[],
): Promise<(KnownReview | null)[]> {
  const find = (column: string, values: (string | number | null)[], more: Record<string, string> = {}) => {
    const given = values.filter((value) => value !== null)
    return given.length === 0
      ? Promise.resolve<Row[]>([])
      : readAll(
          db('review')
            .join('review_version', 'review_version.id', 'review.current_version_id')
            .where({ 'review.shop_id': shopId, ...more })
            .whereIn(column, given),
          columns,
        )
  }
  const byId = keyed(
    await find('review.id', identities.map(({ reviewId }) => reviewId)), // oxfmt-ignore
    ({ id }) => String(id),
  )
  const byToken = keyed(
    await find('review.token_hash', identities.map(({ tokenHash }) => tokenHash)), // oxfmt-ignore
    ({ tokenHash }) => tokenHash,
  )
  const byExternalKey = new Map<string, Row>()
  for (const origin of new Set(identities.map(({ origin }) => origin))) {
    const keys = identities.filter((one) => one.origin === origin).map(({ externalKey }) => externalKey)
    for (const row of await find('review.external_key', keys, { 'review.origin': origin }))
      byExternalKey.set(`${origin}\n${row.externalKey}`, row)
  }
  return identities.map(({ reviewId, tokenHash, origin, externalKey }) => {
    if (reviewId !== null) return byId.get(String(reviewId)) ?? null
    if (tokenHash !== null) return byToken.get(tokenHash) ?? null
    return externalKey === null ? null : (byExternalKey.get(`${origin}\n${externalKey}`) ?? null)
  })
}

const keyed = (rows: Row[], keyOf: (row: Row) => string | null) =>
  new Map(rows.map((row) => [keyOf(row), row]))

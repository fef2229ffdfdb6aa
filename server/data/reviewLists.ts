import type { Knex } from 'knex'
import type { ReviewState } from '../../core/moderation/rules'
import type { SignalKind } from '../../core/moderation/signal'
import type { ProofFailure } from '../../core/proof/matchOrder'
import { counted } from './counted'

/** A review as a line of a list. */
export interface ReviewLine {
  id: number
  publicId: string
  state: ReviewState
  rating: number | null
  showable: boolean
  verified: boolean
  proofFailure: ProofFailure | null
  score: number
  receivedAt: string
  source: 'form' | 'manualEntry'
  authorName: string
  title: string
  body: string
  language: string | null
  productTitle: string | null
  kinds: SignalKind[]
}

/** What narrows a lane; a rating is in hundredths of five. */
export interface LaneFilter {
  state: ReviewState
  rating: number | null
}

const columns = {
  id: 'review.id',
  publicId: 'review.public_id',
  state: 'review.state',
  rating: 'review.rating',
  showable: 'review.showable',
  verified: 'review.verified',
  proofFailure: 'review.proof_failure',
  score: 'review.score',
  receivedAt: 'review.received_at',
  source: 'review.source',
  authorName: 'review_version.author_name',
  title: 'review_version.title',
  body: 'review_version.body',
  language: 'review_version.language',
  productTitle: 'product.title',
}

type Row = Omit<ReviewLine, 'showable' | 'verified' | 'kinds'> & {
  showable: 0 | 1
  verified: 0 | 1
  kinds: string | null
}

function lines(db: Knex, shopId: number): Knex.QueryBuilder<Row, Row[]> {
  return db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .where('review.shop_id', shopId)
    .orderBy('review.id', 'desc')
    .select({
      ...columns,
      kinds: db.raw(
        '(SELECT group_concat(kind ORDER BY points DESC) FROM signal WHERE signal.version_id = review.current_version_id)',
      ),
    })
}

const read = (row: Row): ReviewLine => ({
  ...row,
  showable: row.showable === 1,
  verified: row.verified === 1,
  kinds: row.kinds ? (row.kinds.split(',') as SignalKind[]) : [],
})

function narrowed<Q extends Knex.QueryBuilder>(query: Q, { state, rating }: LaneFilter): Q {
  query.where('review.state', state)
  if (rating !== null) query.where('review.rating', rating)
  return query
}

/** A lane, newest first. */
export async function reviewsInLane(
  db: Knex,
  shopId: number,
  filter: LaneFilter,
  limit: number,
): Promise<ReviewLine[]> {
  return (await narrowed(lines(db, shopId), filter).limit(limit)).map(read)
}

/** The latest arrivals of a shop, whatever became of them. */
export async function latestReviews(db: Knex, shopId: number, limit: number): Promise<ReviewLine[]> {
  return (await lines(db, shopId).limit(limit)).map(read)
}

/** The review that comes after one in its lane, newest first, or before it. */
export async function neighbourInLane(
  db: Knex,
  shopId: number,
  filter: LaneFilter,
  reviewId: number,
  side: 'after' | 'before',
): Promise<{ publicId: string; authorName: string } | undefined> {
  const query = narrowed(db('review').where('review.shop_id', shopId), filter)
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .where('review.id', side === 'after' ? '<' : '>', reviewId)
    .orderBy('review.id', side === 'after' ? 'desc' : 'asc')
  return query.first({ publicId: 'review.public_id', authorName: 'review_version.author_name' })
}

interface Oldest {
  id: number
  publicId: string
  state: ReviewState
  receivedAt: string
}

/** The oldest review that still waits for a person. */
export async function oldestUndecided(db: Knex, shopId: number): Promise<Oldest | undefined> {
  // One look into the index for each lane; both lanes in one query would walk through every decided review.
  const first = (state: ReviewState) =>
    db('review').where({ shop_id: shopId, state }).orderBy('id').first<Oldest | undefined>({
      id: 'id',
      publicId: 'public_id',
      state: 'state',
      receivedAt: 'received_at',
    })
  const [waiting, held] = [await first('waiting'), await first('held')]
  return waiting && held ? (waiting.id < held.id ? waiting : held) : (waiting ?? held)
}

/** How many came in since a moment, and how many of those from verified buyers. */
export async function arrivalsSince(
  db: Knex,
  shopId: number,
  since: string,
): Promise<{ count: number; verified: number }> {
  const row = await db('review')
    .where({ shop_id: shopId })
    .where('received_at', '>=', since)
    .first<{ count: number; verified: number | null }>(db.raw('count(*) AS count, sum(verified) AS verified'))
  return { count: row.count, verified: row.verified ?? 0 }
}

/** How many the shop wrote down itself since a moment. */
export async function writtenDownSince(db: Knex, shopId: number, since: string): Promise<number> {
  return counted(
    db('review').where({ shop_id: shopId, source: 'manualEntry' }).where('received_at', '>=', since),
  )
}

import type { Knex } from 'knex'
import { z } from 'zod'
import { isOfSite, ownSources } from '../../core/intake/sourcePolicy'
import { reviewStates, type ReviewState } from '../../core/moderation/rules'
import { signalKinds, type SignalKind } from '../../core/moderation/signal'
import {
  after,
  before,
  filtered,
  collapsed,
  collapsesGroups,
  orderBy,
  sortKey,
  type LeadingPart,
  type LaneFilter,
} from './laneFilter'
import { countRows } from './countRows'
import { presentState } from './presentState'
import { tables } from './schema/tables'
import { whereOf } from './rows'
import { maybe, pick, readAll, readFirst, value, type Selected } from './select'

const columns = {
  ...pick(tables.review, 'id', 'publicId', 'rating', 'showable', 'verified', 'proofFailure', 'score'),
  ...pick(tables.review, 'receivedAt', 'source', 'revision', 'needsReply', 'photos'),
  ...pick(tables.reviewVersion, 'authorName', 'title', 'body', 'language'),
  state: presentState,
  productTitle: maybe(tables.product.title),
}
/** A review as a line of a list. */
export interface ReviewLine extends Selected<typeof columns> {
  videos: number
  /** The number of reviews of its group in the same state, itself included; 0 without a group. */
  together: number
  /** The signals that added points, highest first. */
  kinds: SignalKind[]
}

const TOGETHER = `CASE WHEN review.group_id IS NULL THEN 0 ELSE (
  SELECT count(*) FROM review AS other WHERE other.group_id = review.group_id AND other.state = review.state
) END`

const VIDEOS = `CASE WHEN review.photos = 0 THEN 0 ELSE (
  SELECT count(*) FROM version_photo JOIN photo ON photo.id = version_photo.photo_id
  WHERE version_photo.version_id = review.current_version_id AND photo.video IS NOT NULL
) END`

async function withWords(db: Knex, query: Knex.QueryBuilder): Promise<ReviewLine[]> {
  const rows = await readAll(
    query
      .join('review_version', 'review_version.id', 'review.current_version_id')
      .leftJoin('product', 'product.id', 'review.product_id'),
    {
      ...columns,
      kinds: value(
        z.string().nullable(),
        db.raw(
          '(SELECT group_concat(kind ORDER BY points DESC) FROM signal WHERE signal.version_id = review.current_version_id AND points >= 0)',
        ),
      ),
      together: value(z.number(), db.raw(TOGETHER)),
      videos: value(z.number(), db.raw(VIDEOS)),
    },
  )
  return rows.map(({ kinds, ...line }) => ({
    ...line,
    needsReply: line.needsReply && !isOfSite(line.source),
    kinds: signalKindsIn(kinds ?? ''),
  }))
}

const signalKindsIn = (text: string): SignalKind[] =>
  text.split(',').flatMap((name) => signalKinds.find((kind) => kind === name) ?? [])

/** A page of a filtered lane, in its order. */
export async function reviewsInLane(
  db: Knex,
  shopId: number,
  filter: LaneFilter,
  rarest: LeadingPart | null,
  limit: number,
): Promise<ReviewLine[]> {
  const query = orderBy(filtered(db, shopId, filter, rarest).limit(limit), filter)
  if (collapsesGroups(filter)) collapsed(query)
  return withWords(db, query)
}

/** The part of each matching review that a bulk action needs. */
export async function chosenInLane(
  db: Knex,
  shopId: number,
  filter: LaneFilter,
  rarest: LeadingPart | null,
  limit: number,
): Promise<{ publicId: string; revision: number }[]> {
  return readAll(
    orderBy(filtered(db, shopId, filter, rarest).limit(limit), filter),
    pick(tables.review, 'publicId', 'revision'),
  )
}

/** The number of matching reviews, counted up to a limit. */
export async function countUpTo(
  db: Knex,
  shopId: number,
  filter: LaneFilter,
  rarest: LeadingPart | null,
  limit: number,
): Promise<number> {
  const found = filtered(db, shopId, filter, rarest).limit(limit).select(db.raw('1'))
  return countRows(db.from(found.as('found')))
}

/** The latest arrivals of a shop, in any lane. */
export async function latestReviews(db: Knex, shopId: number, limit: number): Promise<ReviewLine[]> {
  const ids = await Promise.all(
    reviewStates.flatMap((state) =>
      ownSources.map((source): Promise<number[]> =>
        db('review').where({ shop_id: shopId, state, source }).orderBy('id', 'desc').limit(limit).pluck('id'),
      ),
    ),
  )
  const latest = ids.flat().toSorted((a, b) => b - a).slice(0, limit) // oxfmt-ignore
  const query = db('review').whereIn('review.id', latest).orderBy('review.id', 'desc')
  return withWords(db, query)
}

const neighbour = { publicId: tables.review.publicId, authorName: tables.reviewVersion.authorName }

/** The next or previous review of a filtered list, wherever the current one is now. */
export async function neighbourInLane(
  db: Knex,
  shopId: number,
  filter: LaneFilter,
  rarest: LeadingPart | null,
  reviewId: number,
  side: 'after' | 'before',
): Promise<{ publicId: string; authorName: string } | undefined> {
  if (filter.words !== null && side === 'before') {
    const near = await nearBefore(db, shopId, filter, rarest, reviewId)
    if (near !== 'far') return near
  }
  const query = filtered(db, shopId, filter, rarest)
  if (collapsesGroups(filter)) collapsed(query)
  if (side === 'after') after(query, filter, reviewId)
  else before(query, filter, reviewId)
  return readFirst(
    orderBy(query, filter, side === 'before').join(
      'review_version',
      'review_version.id',
      'review.current_version_id',
    ),
    neighbour,
  )
}

/** Beyond this distance a search is no faster than reading from its start. */
const NEAR = 500

/**
 * The review before one in a search, found by walking from the beginning of the list, where it mostly stands: the
 * full-text index does not stop at a bound that lies behind it, so asking for just those before is a walk through all.
 */
async function nearBefore(
  db: Knex,
  shopId: number,
  filter: LaneFilter,
  rarest: LeadingPart | null,
  reviewId: number,
): Promise<{ publicId: string; authorName: string } | undefined | 'far'> {
  const ids: number[] = await orderBy(filtered(db, shopId, filter, rarest).limit(NEAR), filter).pluck(
    'review.id',
  )
  const newestFirst = sortKey(filter).direction === 'desc'
  const before = ids.filter((id) => (newestFirst ? id > reviewId : id < reviewId))
  if (before.length === NEAR) return 'far'
  const last = before.at(-1)
  if (!last) return undefined
  return readFirst(
    db('review')
      .join('review_version', 'review_version.id', 'review.current_version_id')
      .where('review.id', last),
    neighbour,
  )
}

const oldest = { ...pick(tables.review, 'id', 'publicId', 'receivedAt'), state: presentState }

/** The oldest review that still waits for a person. */
export async function oldestUndecided(
  db: Knex,
  shopId: number,
): Promise<Selected<typeof oldest> | undefined> {
  // One look into the index for each lane; both lanes in one query would walk through every decided review.
  const first = (state: ReviewState) =>
    readFirst(
      db('review')
        .where(whereOf(tables.review, { shopId, state, unconfirmed: false }))
        .orderBy('id'),
      oldest,
    )
  const [waiting, held] = [await first('waiting'), await first('held')]
  return waiting && held ? (waiting.id < held.id ? waiting : held) : (waiting ?? held)
}

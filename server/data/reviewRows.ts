import type { Knex } from 'knex'
import type { AboutWriter } from '../../core/intake/candidate'
import type { Review, ReviewVersion } from '../../core/intake/review'
import { after, filtered, orderBy, type LeadingPart, type LaneFilter } from './laneFilter'
import { tagsOfReviews } from './tags'
import { readAnswers } from './versionRow'

/** A review as a row of a spreadsheet. */
export interface ReviewRow
  extends
    Pick<Review, 'id' | 'state' | 'source' | 'verified' | 'showable' | 'receivedAt' | 'note'>,
    Pick<
      ReviewVersion,
      'rating' | 'title' | 'body' | 'authorName' | 'language' | 'writtenAt' | 'writtenPrecision' | 'answers'
    >,
    Pick<AboutWriter, 'role' | 'company'> {
  authorEmail: string | null
  productTitle: string | null
  photos: number
  reply: string | null
  tags: string[]
}

const columns = {
  id: 'review.id',
  state: 'review.state',
  source: 'review.source',
  verified: 'review.verified',
  showable: 'review.showable',
  receivedAt: 'review.received_at',
  note: 'review.note',
  photos: 'review.photos',
  rating: 'review_version.rating',
  title: 'review_version.title',
  body: 'review_version.body',
  authorName: 'review_version.author_name',
  language: 'review_version.language',
  writtenAt: 'review_version.written_at',
  writtenPrecision: 'review_version.written_precision',
  answers: 'review_version.answers',
  role: 'review_version.author_role',
  company: 'review_version.company',
  authorEmail: 'customer.address',
  productTitle: 'product.title',
  reply: 'reply.body',
}

type Row = Omit<ReviewRow, 'verified' | 'showable' | 'answers' | 'tags'> & {
  verified: 0 | 1
  showable: 0 | 1
  answers: string
}

/** Some reviews of a filtered lane, in its order: the first ones, or those after one of them. */
export async function reviewRows(
  db: Knex,
  shopId: number,
  filter: LaneFilter,
  rarest: LeadingPart | null,
  last: number | null,
  limit: number,
): Promise<ReviewRow[]> {
  const query = orderBy(filtered(db, shopId, filter, rarest).limit(limit), filter)
  if (last !== null) after(query, filter, last)
  const rows: Row[] = await query
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('reply', 'reply.id', 'review.reply_id')
    .select(columns)
  const tags = await tagsOfReviews(
    db,
    shopId,
    rows.map(({ id }) => id),
  )
  return rows.map((row) => ({
    ...row,
    verified: row.verified === 1,
    showable: row.showable === 1,
    answers: readAnswers(row.answers),
    tags: tags.get(row.id) ?? [],
  }))
}

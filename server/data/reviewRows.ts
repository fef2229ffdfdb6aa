import type { Knex } from 'knex'
import { writerTextNames } from '../../core/intake/writerTexts'
import { after, filtered, orderBy, type LeadingPart, type LaneFilter } from './laneFilter'
import { tagsOfReviews } from './tags'
import { presentState } from './presentState'
import { tables } from './schema/tables'
import { maybe, pick, readAll, type Selected } from './select'

const columns = {
  ...pick(tables.review, 'id', 'source', 'verified', 'showable', 'receivedAt', 'note', 'photos'),
  ...pick(tables.reviewVersion, 'rating', 'title', 'body', 'authorName', 'language', 'writtenAt'),
  ...pick(tables.reviewVersion, 'writtenPrecision', 'answers', ...writerTextNames),
  state: presentState,
  authorEmail: maybe(tables.customer.address),
  productTitle: maybe(tables.product.title),
  reply: maybe(tables.reply.body),
}
/** A review as a row of a spreadsheet. */
export interface ReviewRow extends Selected<typeof columns> {
  tags: string[]
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
  const rows = await readAll(
    query
      .join('review_version', 'review_version.id', 'review.current_version_id')
      .leftJoin('product', 'product.id', 'review.product_id')
      .leftJoin('customer', 'customer.id', 'review.customer_id')
      .leftJoin('reply', 'reply.id', 'review.reply_id'),
    columns,
  )
  const tags = await tagsOfReviews(
    db,
    shopId,
    rows.map(({ id }) => id),
  )
  return rows.map((row) => ({ ...row, tags: tags.get(row.id) ?? [] }))
}

import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insert, whereOf } from './rows'
import { pick, readAll, readFirst, type Selected } from './select'

/** A file that shows what a customer said. Only the shop sees it. */
export type EvidenceFile = Selected<typeof file>
const file = pick(tables.evidence, 'id', 'publicId', 'name', 'kind')

export interface NewEvidence extends Omit<EvidenceFile, 'id'> {
  content: Buffer
}

/** Stores a file. It takes effect with the decision state of the review. */
export async function insertEvidence(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  given: NewEvidence,
  now: string,
): Promise<number> {
  return insert(trx, tables.evidence, { ...given, shopId, reviewId, addedAt: now })
}

export async function evidenceOfReview(db: Knex, shopId: number, reviewId: number): Promise<EvidenceFile[]> {
  return readAll(
    db('evidence')
      .where(whereOf(tables.evidence, { shopId, reviewId, removed: false }))
      .orderBy('id'),
    file,
  )
}

/** Removed files are kept, so that undo can restore them. */
export async function setEvidence(
  trx: Knex.Transaction,
  reviewId: number,
  ids: number[],
  present: boolean,
): Promise<void> {
  if (ids.length > 0)
    await trx('evidence').where({ review_id: reviewId }).whereIn('id', ids).update({ removed: !present })
}

/** A file with its content, if it belongs to the review. */
export async function readEvidence(
  db: Knex,
  shopId: number,
  reviewPublicId: string,
  publicId: string,
): Promise<NewEvidence | undefined> {
  return readFirst(
    db('evidence')
      .join('review', 'review.id', 'evidence.review_id')
      .where(whereOf(tables.evidence, { shopId, publicId, removed: false }))
      .where(whereOf(tables.review, { publicId: reviewPublicId })),
    pick(tables.evidence, 'publicId', 'name', 'kind', 'content'),
  )
}

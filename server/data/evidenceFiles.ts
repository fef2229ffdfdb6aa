import type { Knex } from 'knex'
import type { EvidenceKind } from '../../core/intake/evidence'

/** A file that shows what a customer said. Only the shop sees it. */
export interface EvidenceFile {
  id: number
  publicId: string
  name: string
  kind: EvidenceKind
}

export interface NewEvidence extends Omit<EvidenceFile, 'id'> {
  content: Buffer
}

/** Stores a file. It takes effect with the decision state of the review. */
export async function insertEvidence(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  file: NewEvidence,
  now: string,
): Promise<number> {
  const [id] = await trx('evidence').insert({
    shop_id: shopId,
    review_id: reviewId,
    public_id: file.publicId,
    name: file.name,
    kind: file.kind,
    added_at: now,
    content: file.content,
  })
  return id!
}

export async function evidenceOfReview(db: Knex, shopId: number, reviewId: number): Promise<EvidenceFile[]> {
  return db('evidence')
    .where({ shop_id: shopId, review_id: reviewId, removed: 0 })
    .orderBy('id')
    .select({ id: 'id', publicId: 'public_id', name: 'name', kind: 'kind' })
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
  return db('evidence')
    .join('review', 'review.id', 'evidence.review_id')
    .where({
      'evidence.shop_id': shopId,
      'review.public_id': reviewPublicId,
      'evidence.public_id': publicId,
      'evidence.removed': 0,
    })
    .first({
      publicId: 'evidence.public_id',
      name: 'evidence.name',
      kind: 'evidence.kind',
      content: 'evidence.content',
    })
}

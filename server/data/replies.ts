import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insert, row, whereOf } from './rows'
import type { NewRow } from './table'

/** Stores a posted reply. Earlier replies stay, so that undo can restore them. */
export async function insertReply(
  trx: Knex.Transaction,
  reply: NewRow<typeof tables.reply>,
): Promise<number> {
  return insert(trx, tables.reply, reply)
}

/** Saves a draft. Returns false if the shop has no such review. */
export async function updateReplyDraft(
  db: Knex,
  shopId: number,
  publicId: string,
  draft: string,
): Promise<boolean> {
  const changed = await db('review')
    .where(whereOf(tables.review, { shopId, publicId }))
    .update(row(tables.review, { replyDraft: draft }))
  return changed > 0
}

/** The owner's private note. */
export async function updateNote(db: Knex, shopId: number, publicId: string, note: string): Promise<boolean> {
  return (await db('review').where({ shop_id: shopId, public_id: publicId }).update({ note })) > 0
}

export async function insertDeclineReason(
  trx: Knex.Transaction,
  { shopId, reviewId, reason }: { shopId: number; reviewId: number; reason: string },
): Promise<number> {
  return insert(trx, tables.declineReason, { shopId, reviewId, reason })
}

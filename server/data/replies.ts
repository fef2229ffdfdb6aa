import type { Knex } from 'knex'

/** Stores a posted reply. Earlier replies stay, so that undo can restore them. */
export async function insertReply(
  trx: Knex.Transaction,
  reply: { shopId: number; reviewId: number; memberId: number; name: string; body: string; now: string },
): Promise<number> {
  const [id] = await trx('reply').insert({
    shop_id: reply.shopId,
    review_id: reply.reviewId,
    member_id: reply.memberId,
    name: reply.name,
    body: reply.body,
    posted_at: reply.now,
  })
  return id!
}

/** Saves a draft. Returns false if the shop has no such review. */
export async function updateReplyDraft(
  db: Knex,
  shopId: number,
  publicId: string,
  draft: string,
): Promise<boolean> {
  return (
    (await db('review').where({ shop_id: shopId, public_id: publicId }).update({ reply_draft: draft })) > 0
  )
}

/** The owner's private note. */
export async function updateNote(db: Knex, shopId: number, publicId: string, note: string): Promise<boolean> {
  return (await db('review').where({ shop_id: shopId, public_id: publicId }).update({ note })) > 0
}

export async function insertDeclineReason(
  trx: Knex.Transaction,
  { shopId, reviewId, reason }: { shopId: number; reviewId: number; reason: string },
): Promise<number> {
  const [id] = await trx('decline_reason').insert({ shop_id: shopId, review_id: reviewId, reason })
  return id!
}

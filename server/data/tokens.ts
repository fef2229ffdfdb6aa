import type { Knex } from 'knex'

/** The purpose of a link in an email. */
export type TokenPurpose = 'confirm' | 'review'

interface Token {
  id: number
  reviewId: number
  shopId: number
  expiresAt: string
  usedAt: string | null
}

/** Saves a token. Saving it again extends its life. */
export async function upsertToken(
  trx: Knex,
  token: { hash: string; purpose: TokenPurpose; reviewId: number; now: string; expiresAt: string },
): Promise<void> {
  await trx('token')
    .insert({
      hash: token.hash,
      purpose: token.purpose,
      review_id: token.reviewId,
      created_at: token.now,
      expires_at: token.expiresAt,
    })
    .onConflict('hash')
    .merge(['expires_at'])
}

/** Finds a token by its hash; null if it has expired. */
export async function findToken(
  db: Knex,
  purpose: TokenPurpose,
  hash: string,
  now: string,
): Promise<Token | undefined> {
  return db('token')
    .join('review', 'review.id', 'token.review_id')
    .where({ 'token.hash': hash, 'token.purpose': purpose })
    .where('token.expires_at', '>', now)
    .first({
      id: 'token.id',
      reviewId: 'token.review_id',
      shopId: 'review.shop_id',
      expiresAt: 'token.expires_at',
      usedAt: 'token.used_at',
    })
}

/** Links of a purpose that were not used lead nowhere from now on. */
export async function endTokens(trx: Knex, reviewId: number, purpose: TokenPurpose): Promise<void> {
  await trx('token').where({ review_id: reviewId, purpose }).whereNull('used_at').delete()
}

/** Whether a link of a purpose is valid and not used yet. */
export async function hasOpenTokens(
  db: Knex,
  reviewId: number,
  purpose: TokenPurpose,
  now: string,
): Promise<boolean> {
  const open = db('token').where({ review_id: reviewId, purpose }).whereNull('used_at')
  return (await open.where('expires_at', '>', now).first('id')) !== undefined
}

export async function useToken(trx: Knex, id: number, now: string): Promise<void> {
  await trx('token').where({ id }).whereNull('used_at').update({ used_at: now })
}

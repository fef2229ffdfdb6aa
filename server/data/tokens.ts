import type { Knex } from 'knex'

/** The purpose of a link in an email. */
export type TokenPurpose = 'confirm' | 'review'

export interface Token {
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

export async function useToken(trx: Knex, id: number, now: string): Promise<void> {
  await trx('token').where({ id }).whereNull('used_at').update({ used_at: now })
}

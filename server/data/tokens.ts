import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { newRow, row, whereOf } from './rows'
import { hasRows, pick, readFirst, type Selected } from './select'
import type { NewRow } from './table'

/** The purpose of a link in an email. */
export type TokenPurpose = Selected<Pick<typeof tables.token, 'purpose'>>['purpose']

const columns = {
  ...pick(tables.token, 'id', 'reviewId', 'expiresAt', 'usedAt'),
  shopId: tables.review.shopId,
}

/** Saves a token. Saving it again extends its life. */
export async function upsertToken(trx: Knex, token: NewRow<typeof tables.token>): Promise<void> {
  await trx('token').insert(newRow(tables.token, token)).onConflict('hash').merge(['expires_at'])
}

/** Finds a token by its hash; null if it has expired. */
export async function findToken(
  db: Knex,
  purpose: TokenPurpose,
  hash: string,
  now: string,
): Promise<Selected<typeof columns> | undefined> {
  return readFirst(
    db('token')
      .join('review', 'review.id', 'token.review_id')
      .where(whereOf(tables.token, { hash, purpose }))
      .where('token.expires_at', '>', now),
    columns,
  )
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
  return hasRows(
    db('token')
      .where(whereOf(tables.token, { reviewId, purpose, usedAt: null }))
      .where('expires_at', '>', now),
  )
}

export async function useToken(trx: Knex, id: number, now: string): Promise<void> {
  await trx('token')
    .where({ id })
    .whereNull('used_at')
    .update(row(tables.token, { usedAt: now }))
}

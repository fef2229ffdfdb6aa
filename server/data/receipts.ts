import type { Knex } from 'knex'
import { z } from 'zod'
import type { ArrivalState } from '../../core/moderation/rules'
import { tables } from './schema/tables'
import { whereOf } from './rows'
import { pick, readFirst, value } from './select'

/** The outcome of a submission. */
export interface Receipt {
  publicId: string
  state: ArrivalState
  showable: boolean
  /** Whether its writer gave an email address. */
  hasAddress: boolean
  /** Whether a confirmation email was sent. */
  confirm: boolean
  /** Held back only because the address is not confirmed. */
  unconfirmed: boolean
}

/** The outcome of a submission by its token or id, or by its public id and form. */
export async function findReceipt(
  db: Knex,
  shopId: number,
  which: { tokenHash: string } | { id: number } | { formId: number; publicId: string },
): Promise<Receipt | null> {
  const found = await readFirst(db('review').where(whereOf(tables.review, { shopId, ...which })), {
    ...pick(tables.review, 'publicId', 'showable', 'unconfirmed', 'customerId'),
    state: tables.review.arrivalState,
    mails: value(z.number(), db('mail').whereRaw('mail.review_id = review.id').count('*')),
  })
  if (!found) return null
  const { mails, customerId, ...receipt } = found
  return { ...receipt, hasAddress: customerId !== null, confirm: mails > 0 }
}

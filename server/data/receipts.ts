import type { Knex } from 'knex'
import type { ArrivalState } from '../../core/moderation/rules'

/** The outcome of a submission. */
export interface Receipt {
  publicId: string
  state: ArrivalState
  showable: boolean
  /** Whether a confirmation email was sent. */
  confirm: boolean
  /** Held back only because the address is not confirmed. */
  unconfirmed: boolean
}

type Row = Omit<Receipt, 'showable' | 'confirm' | 'unconfirmed'> & {
  showable: 0 | 1
  unconfirmed: 0 | 1
  mails: number
}

/** The outcome of a submission by its token or id, or by its public id and form. */
export async function findReceipt(
  db: Knex,
  shopId: number,
  which: { tokenHash: string } | { reviewId: number } | { formId: number; publicId: string },
): Promise<Receipt | null> {
  const query = db('review').where({ shop_id: shopId })
  if ('reviewId' in which) query.where({ id: which.reviewId })
  else if ('tokenHash' in which) query.where({ token_hash: which.tokenHash })
  else query.where({ form_id: which.formId, public_id: which.publicId })
  const row: Row | undefined = await query.first({
    publicId: 'public_id',
    state: 'arrival_state',
    showable: 'showable',
    unconfirmed: 'unconfirmed',
    mails: db('mail').whereRaw('mail.review_id = review.id').count('*'),
  })
  if (!row) return null
  const { mails, showable, unconfirmed, ...receipt } = row
  return { ...receipt, showable: showable === 1, unconfirmed: unconfirmed === 1, confirm: mails > 0 }
}

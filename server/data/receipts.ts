import type { Knex } from 'knex'
import type { ArrivalState } from '../../core/moderation/rules'

/** What became of a review on arrival. */
export interface Receipt {
  publicId: string
  state: ArrivalState
  showable: boolean
  /** Whether an email was sent that asks to confirm the email address. */
  confirm: boolean
  /** Held back for nothing but an open confirmation. */
  unconfirmed: boolean
}

type Row = Omit<Receipt, 'showable' | 'confirm' | 'unconfirmed'> & {
  showable: 0 | 1
  unconfirmed: 0 | 1
  mails: number
}

/** Whether the owner last stated that the customer agreed; false before the first time. */
export async function latestStatedConsent(db: Knex, shopId: number): Promise<boolean> {
  const row: { showable: 0 | 1 } | undefined = await db('review')
    .where({ shop_id: shopId, source: 'manualEntry' })
    .orderBy('id', 'desc')
    .first('showable')
  return row?.showable === 1
}

/** The receipt of an arrival by its token, or by the public id and the form it came through. */
export async function findReceipt(
  db: Knex,
  shopId: number,
  which: { tokenHash: string } | { formId: number; publicId: string },
): Promise<Receipt | null> {
  const query = db('review').where({ shop_id: shopId })
  if ('tokenHash' in which) query.where({ token_hash: which.tokenHash })
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

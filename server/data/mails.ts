import type { Knex } from 'knex'
import { recipientKey } from '../../core/proof/emailKey'
import { countRows } from './countRows'

const mailKinds = ['confirm', 'ask', 'remove', 'trial', 'notification'] as const
type MailKind = (typeof mailKinds)[number]

export interface NewMail {
  shopId: number
  messageId: string
  kind: MailKind
  reviewId: number | null
  recipient: string
  senderName: string
  language: string
  subject: string
  text: string
  html: string
  queuedAt: string
}

export interface Mail extends NewMail {
  id: number
  state: 'waiting' | 'sent' | 'refused'
  attempts: number
  error: string | null
  sentAt: string | null
}

const columns = {
  id: 'id',
  shopId: 'shop_id',
  messageId: 'message_id',
  kind: 'kind',
  reviewId: 'review_id',
  recipient: 'recipient',
  senderName: 'sender_name',
  language: 'language',
  subject: 'subject',
  text: 'text',
  html: 'html',
  state: 'state',
  attempts: 'attempts',
  error: 'error',
  queuedAt: 'queued_at',
  sentAt: 'sent_at',
}

export async function insertMail(trx: Knex.Transaction, mail: NewMail): Promise<number> {
  const [id] = await trx('mail').insert({
    shop_id: mail.shopId,
    message_id: mail.messageId,
    kind: mail.kind,
    review_id: mail.reviewId,
    recipient: mail.recipient,
    email_key: recipientKey(mail.recipient),
    sender_name: mail.senderName,
    language: mail.language,
    subject: mail.subject,
    text: mail.text,
    html: mail.html,
    state: 'waiting',
    queued_at: mail.queuedAt,
  })
  return id!
}

export async function findMail(db: Knex, id: number): Promise<Mail | undefined> {
  return db('mail').where({ id }).first<Mail | undefined>(columns)
}

/** Stores the result of an attempt. */
export async function noteTry(
  db: Knex,
  id: number,
  outcome: { state: Mail['state']; error: string | null; sentAt: string | null },
): Promise<void> {
  await db('mail')
    .where({ id })
    .update({ state: outcome.state, error: outcome.error, sent_at: outcome.sentAt })
    .increment('attempts', 1)
}

/** The number of emails to an address since a time, from any shop, in any spelling of the address. */
export async function mailsTo(db: Knex, address: string, since: string): Promise<number> {
  return countRows(
    db('mail')
      .where({ email_key: recipientKey(address) })
      .where('queued_at', '>=', since),
  )
}

/** The number of customers that a shop's forms asked since a time to confirm their address. */
export async function confirmationsAsked(db: Knex, shopId: number, since: string): Promise<number> {
  const kind: MailKind = 'confirm'
  return countRows(db('mail').where({ shop_id: shopId, kind }).where('queued_at', '>=', since))
}

/** A shop's unsent and refused emails, latest first. */
export async function troubledMails(db: Knex, shopId: number, limit: number): Promise<Mail[]> {
  return (
    db('mail')
      .where({ shop_id: shopId })
      // Matches the expression of the index.
      .whereRaw("error IS NOT NULL AND state <> 'sent'")
      .orderBy('id', 'desc')
      .limit(limit)
      .select<Mail[]>(columns)
  )
}

export async function mailCounts(db: Knex, shopId: number): Promise<Record<Mail['state'], number>> {
  const rows: { state: Mail['state']; n: number }[] = await db('mail')
    .where({ shop_id: shopId })
    .groupBy('state')
    .select('state')
    .count({ n: '*' })
  return { waiting: 0, sent: 0, refused: 0, ...Object.fromEntries(rows.map(({ state, n }) => [state, n])) }
}

import type { Knex } from 'knex'
import { z } from 'zod'
import { recipientKey } from '../../core/proof/emailKey'
import { countRows } from './countRows'
import { tables } from './schema/tables'
import { insert, row, whereOf } from './rows'
import { readAll, readFirst, value, type Selected } from './select'
import { all } from './table'

const { emailKey: _key, ...columns } = all(tables.mail)
export type Mail = Selected<typeof columns>
export type NewMail = Omit<Mail, 'id' | 'state' | 'attempts' | 'error' | 'sentAt'>

export async function insertMail(trx: Knex.Transaction, mail: NewMail): Promise<number> {
  return insert(trx, tables.mail, { ...mail, emailKey: recipientKey(mail.recipient), state: 'waiting' })
}

export async function findMail(db: Knex, id: number): Promise<Mail | undefined> {
  return readFirst(db('mail').where({ id }), columns)
}

/** Stores the result of an attempt. */
export async function noteTry(
  db: Knex,
  id: number,
  outcome: Pick<Mail, 'state' | 'error' | 'sentAt'>,
): Promise<void> {
  await db('mail').where({ id }).update(row(tables.mail, outcome)).increment('attempts', 1)
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
  return countRows(
    db('mail')
      .where(whereOf(tables.mail, { shopId, kind: 'confirm' }))
      .where('queued_at', '>=', since),
  )
}

/** A shop's unsent and refused emails, latest first. */
export async function troubledMails(db: Knex, shopId: number, limit: number): Promise<Mail[]> {
  return readAll(
    db('mail')
      .where({ shop_id: shopId })
      // Matches the expression of the index.
      .whereRaw("error IS NOT NULL AND state <> 'sent'")
      .orderBy('id', 'desc')
      .limit(limit),
    columns,
  )
}

export async function mailCounts(db: Knex, shopId: number): Promise<Record<Mail['state'], number>> {
  const rows = await readAll(db('mail').where({ shop_id: shopId }).groupBy('state'), {
    state: tables.mail.state,
    n: value(z.number(), db.raw('count(*)')),
  })
  return { waiting: 0, sent: 0, refused: 0, ...Object.fromEntries(rows.map(({ state, n }) => [state, n])) }
}

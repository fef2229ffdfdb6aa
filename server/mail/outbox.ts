import type { Knex } from 'knex'
import { findMail, insertMail, noteTry, type NewMail } from '../data/mails'
import type { Job } from '../jobs/job'
import { enqueue } from '../jobs/queue'
import type { Services } from '../services'
import { MailRefused } from './mailer'

export const SEND_MAIL = 'sendMail'
/** After so many tries, the last some hours apart, an email is given up and shown to the owner. */
export const TRIES = 12

/** Puts an email into the outbox within the transaction that makes it necessary; it gets its one Message-ID there. */
export async function queueMail(
  services: Services,
  trx: Knex.Transaction,
  mail: Omit<NewMail, 'messageId' | 'queuedAt'>,
): Promise<void> {
  const now = services.now().toISOString()
  const messageId = `${services.newId()}.${services.newId()}@${new URL(services.publicUrl).hostname}`
  const id = await insertMail(trx, { ...mail, messageId, queuedAt: now })
  await enqueue(trx, {
    shopId: mail.shopId,
    kind: SEND_MAIL,
    uniqueKey: `mail:${id}`,
    payload: { mail: id },
    dueAt: now,
  })
}

/**
 * Sends one email of the outbox. Killed between the server's yes and our note of it, it goes out again under the same
 * Message-ID, so that the email address knows it as the same.
 */
export async function sendMail({ db, now, mailer, changes }: Services, job: Job): Promise<void> {
  const mail = await findMail(db, (JSON.parse(job.payload) as { mail: number }).mail)
  if (!mail || mail.state !== 'waiting') return
  try {
    if (!mailer) throw new MailRefused('No mail server is set.', true)
    await mailer.send(mail)
    await noteTry(db, mail.id, { state: 'sent', error: null, sentAt: now().toISOString() })
  } catch (error) {
    if (!(error instanceof MailRefused)) throw error
    const over = error.forGood || mail.attempts + 1 >= TRIES
    await noteTry(db, mail.id, { state: over ? 'refused' : 'waiting', error: error.message, sentAt: null })
    changes.announce(mail.shopId)
    if (!over) throw error
  }
}

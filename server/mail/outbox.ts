import { z } from 'zod'
import type { Knex } from 'knex'
import { findMail, insertMail, noteTry, type NewMail } from '../data/mails'
import type { Job } from '../jobs/job'
import { enqueue } from '../jobs/queue'
import type { Services } from '../services'
import { MailRefused } from './mailer'

export const SEND_MAIL = 'sendMail'
/** After this many attempts, the last ones hours apart, an email is given up and shown to the owner. */
export const TRIES = 12

/** Queues an email in the transaction that causes it. Its Message-ID is created here. */
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

const payloadSchema = z.object({ mail: z.number() })

/**
 * Sends one email. If the process is killed before the result is stored, the email is sent again with the
 * same Message-ID, so that mail programs recognise the copy.
 */
export async function sendMail({ db, now, mailer, changes }: Services, job: Job): Promise<void> {
  const mail = await findMail(db, payloadSchema.parse(job.payload).mail)
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

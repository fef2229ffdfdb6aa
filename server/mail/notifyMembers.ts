import type { Knex } from 'knex'
import { writerInSentence } from '../../core/messages/writerName'
import { TZDate } from '@date-fns/tz'
import { say } from '../../core/messages/say/everything'
import { undecidedCount } from '../data/reviewCounts'
import { findShop, type Shop } from '../data/shops'
import { addToDigest, digestOf, emptyDigest, membersWithPreferences } from '../data/notificationPreferences'
import { writing } from '../data/writing'
import type { Job } from '../jobs/job'
import { enqueue } from '../jobs/queue'
import type { Services } from '../services'
import { htmlText, plainText, type MailParts } from './mailParts'
import { queueMail } from './outbox'

export const DIGEST = 'digest'

interface Arrived {
  publicId: string
  authorName: string
  title: string
  body: string
  rating: number | null
  held: boolean
}

/**
 * Notifies the members of an arrival by their preference: at once, at once if it is held back, or once a day.
 */
export async function tellOfArrival(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  arrived: Arrived,
): Promise<void> {
  if (!services.mailer) return
  const members = await membersWithPreferences(trx, shop.id)
  for (const { email, name, preference } of members) {
    if (preference === 'digest' || (preference === 'held' && !arrived.held)) continue
    const words = { name: writerInSentence(arrived.authorName), shop: shop.shortName }
    await toMember(
      services,
      trx,
      shop,
      email,
      say(arrived.held ? 'notify.heldSubject' : 'notify.subject', words),
      {
        hello: say('notify.hello', { name }),
        lines: [say(arrived.held ? 'notify.held' : 'notify.came', words)],
        quotation: {
          rating: arrived.rating === null ? '' : say('notify.rated', { rating: arrived.rating / 100 }),
          title: arrived.title,
          body: arrived.body,
        },
        button: {
          label: say('notify.button'),
          address: `${services.publicUrl}/s/${shop.slug}/decide/${arrived.publicId}`,
        },
        after: [say('notify.why', { shop: shop.shortName })],
      },
    )
  }
  if (!members.some(({ preference }) => preference === 'digest')) return
  await addToDigest(trx, shop.id)
  await enqueue(trx, {
    shopId: shop.id,
    kind: DIGEST,
    uniqueKey: `digest:${shop.id}`,
    payload: {},
    dueAt: nextDigest(services.now(), shop.timeZone, (await digestOf(trx, shop.id)).hour),
  })
}

/** The next time that it is this hour in a time zone, as UTC ISO 8601. */
export function nextDigest(now: Date, timeZone: string, hour: number): string {
  const there = new TZDate(now.getTime(), timeZone)
  there.setHours(hour, 0, 0, 0)
  if (there.getTime() <= now.getTime()) there.setDate(there.getDate() + 1)
  return new Date(there.getTime()).toISOString()
}

/**
 * One email a day with the number of arrivals that members were not told of yet and the number of undecided reviews;
 * none without arrivals.
 */
export async function sendDigest(services: Services, job: Job): Promise<void> {
  const { db } = services
  const shop = await findShop(db, job.shopId!)
  const undecided = await undecidedCount(db, shop.id)
  await writing(db, async (trx) => {
    const { count } = await digestOf(trx, shop.id)
    if (count === 0) return
    await emptyDigest(trx, shop.id)
    for (const { email, name, preference } of await membersWithPreferences(trx, shop.id)) {
      if (preference !== 'digest') continue
      await toMember(
        services,
        trx,
        shop,
        email,
        say('notify.digestSubject', { count, shop: shop.shortName }),
        {
          hello: say('notify.hello', { name }),
          lines: [
            say('notify.digest', { count, shop: shop.shortName }),
            undecided === 0 ? say('notify.nothingNeeded') : say('notify.needed', { count: undecided }),
          ],
          quotation: null,
          button: {
            label: say('notify.digestButton'),
            address: `${services.publicUrl}/s/${shop.slug}/decide`,
          },
          after: [say('notify.why', { shop: shop.shortName })],
        },
      )
    }
  })
  services.wakeJobs()
}

/** A test email to a member. */
export async function sendTrial(
  services: Services,
  shop: Shop,
  to: { email: string; name: string },
): Promise<void> {
  await writing(services.db, (trx) =>
    toMember(
      services,
      trx,
      shop,
      to.email,
      say('notify.trialSubject'),
      {
        hello: say('notify.hello', { name: to.name }),
        lines: [say('notify.trial', { shop: shop.shortName })],
        quotation: null,
        button: null,
        after: [],
      },
      'trial',
    ),
  )
  services.wakeJobs()
}

function toMember(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  recipient: string,
  subject: string,
  parts: MailParts,
  kind: 'notification' | 'trial' = 'notification',
): Promise<void> {
  return queueMail(services, trx, {
    shopId: shop.id,
    kind,
    reviewId: null,
    recipient,
    senderName: 'Elogio',
    language: 'en',
    subject,
    text: plainText(parts),
    html: htmlText(parts),
  })
}

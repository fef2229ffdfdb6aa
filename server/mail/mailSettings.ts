import type { NotificationPreference } from '../../core/account/notificationPreference'
import { mailCounts, troubledMails, type Mail } from '../data/mails'
import type { Member } from '../data/members'
import type { Shop } from '../data/shops'
import {
  digestOf,
  membersWithPreferences,
  setDigestHour,
  setNotificationPreference,
} from '../data/notificationPreferences'
import type { Services } from '../services'
import { sendTrial } from './notifyMembers'

/** How a shop's emails are sent, and the member's notification preference. */
export interface MailSettings {
  /** Null without a mail server. */
  out: { through: string; from: string } | null
  counts: Record<Mail['state'], number>
  troubled: Pick<Mail, 'id' | 'recipient' | 'subject' | 'state' | 'error'>[]
  preference: NotificationPreference
  digestHour: number
}

const TROUBLED_SHOWN = 8

export async function mailSettings(
  { db, mailer }: Services,
  shop: Shop,
  member: Member,
): Promise<MailSettings> {
  const troubled = await troubledMails(db, shop.id, TROUBLED_SHOWN)
  return {
    out: mailer && { through: mailer.through, from: mailer.from },
    counts: await mailCounts(db, shop.id),
    troubled: troubled.map(({ id, recipient, subject, state, error }) => ({
      id,
      recipient,
      subject,
      state,
      error,
    })),
    preference:
      (await membersWithPreferences(db, shop.id)).find(({ id }) => id === member.id)?.preference ?? 'digest',
    digestHour: (await digestOf(db, shop.id)).hour,
  }
}

export async function saveNotifications(
  { db }: Services,
  shop: Shop,
  member: Member,
  { preference, digestHour }: { preference: NotificationPreference; digestHour: number },
): Promise<void> {
  await setNotificationPreference(db, shop.id, member.id, preference)
  await setDigestHour(db, shop.id, digestHour)
}

/** Sends a test email to the member. The settings show its result. */
export async function tryMail(services: Services, shop: Shop, member: Member): Promise<boolean> {
  if (!services.mailer) return false
  await sendTrial(services, shop, member)
  return true
}

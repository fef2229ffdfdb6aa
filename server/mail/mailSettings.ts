import type { Told } from '../../core/account/told'
import { mailCounts, troubledMails, type Mail } from '../data/mails'
import type { Member } from '../data/members'
import type { Shop } from '../data/shops'
import { digestOf, membersTold, setDigestHour, setTold } from '../data/telling'
import type { Services } from '../services'
import { sendTrial } from './notifyMembers'

/** How emails of a shop go out, and how a member is told of what comes in. */
export interface MailSettings {
  /** Null where no mail server is set. */
  out: { through: string; from: string } | null
  counts: Record<Mail['state'], number>
  troubled: Pick<Mail, 'id' | 'recipient' | 'subject' | 'state' | 'error'>[]
  told: Told
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
    told: (await membersTold(db, shop.id)).find(({ id }) => id === member.id)?.told ?? 'digest',
    digestHour: (await digestOf(db, shop.id)).hour,
  }
}

export async function saveTelling(
  { db }: Services,
  shop: Shop,
  member: Member,
  { told, digestHour }: { told: Told; digestHour: number },
): Promise<void> {
  await setTold(db, shop.id, member.id, told)
  await setDigestHour(db, shop.id, digestHour)
}

/** Sends a trial to the member; how it went is told by the counts and troubles of the settings. */
export async function tryMail(services: Services, shop: Shop, member: Member): Promise<boolean> {
  if (!services.mailer) return false
  await sendTrial(services, shop, member)
  return true
}

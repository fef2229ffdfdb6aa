import type { NewAccount, ShopProfile } from '../../core/account/shopProfile'
import { firstFree, slugOf } from '../../core/account/slug'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { say } from '../../core/messages/say/everything'
import { insertDisplay, isDisplayKeyTaken } from '../data/displays'
import { startingDesign } from '../../core/form/startingDesign'
import { insertForm, isFormSlugTaken } from '../data/forms'
import { findMemberByEmail, insertMember, isEmptyInstallation, type Member } from '../data/members'
import { insertMembership, insertShop, isSlugTaken, type Shop } from '../data/shops'
import { writing } from '../data/writing'
import { cleanPicture } from '../media/picture'
import type { Services } from '../services'
import { hashPassword } from './password'
import { openSession } from './session'

/** Only an empty installation lets anybody set up a shop. */
export function isEmpty({ db }: Services): Promise<boolean> {
  return isEmptyInstallation(db)
}

type SetUpOutcome =
  | { outcome: 'done'; slug: string; display: string; token: string | null }
  | { outcome: 'emailTaken' | 'notEmpty' }

/**
 * Creates a shop with its form, a draft of its first display, and the owner's account.
 * @param owner a new account (only in an empty installation), or a member who adds a shop
 */
export async function setUp(
  services: Services,
  profile: ShopProfile,
  owner: { account: NewAccount } | { member: Member },
): Promise<SetUpOutcome> {
  const { db, newId, mailer } = services
  const now = services.now().toISOString()
  const picture = await cleanPicture(profile.picture)
  const passwordHash = 'account' in owner ? await hashPassword(services, owner.account.password) : null
  const made = await writing(db, async (trx) => {
    let memberId: number
    if ('account' in owner) {
      if (await findMemberByEmail(trx, owner.account.email)) return { outcome: 'emailTaken' as const }
      if (!(await isEmptyInstallation(trx))) return { outcome: 'notEmpty' as const }
      const { member_name: name, email } = owner.account
      memberId = await insertMember(trx, {
        name,
        email,
        publicId: newId(),
        passwordHash: passwordHash!,
        createdAt: now,
      })
    } else memberId = owner.member.id
    const base = slugOf(profile.short_name || profile.name)
    const slug = await firstFree(base, (name) => isSlugTaken(trx, name))
    const shopId = await insertShop(trx, { publicId: newId(), slug, ...shopFields(profile, picture) }, now)
    await insertMembership(trx, memberId, shopId)
    await insertForm(trx, {
      // Without an email server nobody could confirm an address.
      writers: mailer ? 'confirmed' : 'anyone',
      shopId,
      publicId: newId(),
      name: say('forms.first'),
      slug: await firstFree(slug, (name) => isFormSlugTaken(trx, name)),
      design: startingDesign,
      now,
    })
    const key = await firstFree(`${slug}-front`, (name) => isDisplayKeyTaken(trx, name))
    await insertDisplay(trx, {
      shopId,
      publicId: newId(),
      key,
      name: say('show.firstDisplay'),
      configuration: startingConfiguration,
      now,
    })
    return { outcome: 'done' as const, slug, display: key, memberId }
  })
  if (made.outcome !== 'done') return made
  const { memberId, ...done } = made
  return { ...done, token: 'account' in owner ? await openSession(services, memberId) : null }
}

export function shopFields(
  profile: ShopProfile,
  picture: string | null,
): Omit<Shop, 'id' | 'publicId' | 'slug'> {
  const shortName = profile.short_name || profile.name
  const language = profile.locale.slice(0, 2).toLowerCase()
  return {
    name: profile.name,
    shortName,
    description: profile.description,
    siteUrl: profile.site_url,
    logo: picture,
    brand: profile.brand,
    background: profile.background,
    textColour: profile.textColour,
    fonts: profile.fonts,
    corners: profile.corners,
    locale: profile.locale,
    timeZone: profile.time_zone,
    languages: profile.languages.length > 0 ? profile.languages : [language],
    customerLanguages: profile.customer_languages,
    ownDomains: profile.own_domains,
    replyName: profile.reply_name || shortName,
  }
}

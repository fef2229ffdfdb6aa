import { asCustomer, type Actor } from '../../core/moderation/actor'
import { createHmac } from 'node:crypto'
import type { Knex } from 'knex'
import { customerTranslate } from '../../core/messages/customers'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { customerLanguage, type CustomerLanguage } from '../../core/messages/customers/languages'
import { greeting } from '../../core/messages/customers/greeting'
import { isAddress } from '../../core/proof/emailKey'
import { appendDecision } from '../data/decisions'
import { confirmationsAsked, mailsTo } from '../data/mails'
import {
  confirmationOf,
  replaceRenewedSignals,
  storeConfirmation,
  type Confirmable,
} from '../data/confirmations'
import { readDecisionState } from '../data/decisionStates'
import { findReview } from '../data/reviewReading'
import { setCustomer } from '../data/reviewWriting'
import { findShop, type Shop } from '../data/shops'
import { findToken, upsertToken, useToken, type TokenPurpose } from '../data/tokens'
import { writing } from '../data/writing'
import { tellOfArrival } from '../mail/notifyMembers'
import { htmlText, plainText, type MailParts } from '../mail/mailParts'
import { queueMail } from '../mail/outbox'
import { digestOfVersion } from '../moderation/digest'
import { goesOnByItself, judgeAgain, moveByRules } from '../moderation/judgeAgain'
import { proveBuyer } from '../proof/proveBuyer'
import { markProductsStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { hashToken } from './formToken'

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
const CONFIRM_DAYS = 30
const REVIEW_DAYS = 730
/** Limits the emails that a stranger can cause by typing someone's address. */
const MAILS_A_DAY = 4
/** Limits the emails that a stranger can cause by typing many addresses. */
const ASKED_AN_HOUR = 300

export async function mayInvite(
  { db, mailer, now }: Services,
  { authorEmail }: { authorEmail: string },
): Promise<boolean> {
  if (!mailer || !isAddress(authorEmail)) return false
  const since = new Date(now().getTime() - DAY_MS).toISOString()
  return (await mailsTo(db, authorEmail, since)) < MAILS_A_DAY
}

/** Whether the shop's forms have caused so many emails within the last hour that no more are sent. */
export async function asksTooMany({ db, now }: Services, shop: Shop): Promise<boolean> {
  const since = new Date(now().getTime() - HOUR_MS).toISOString()
  return (await confirmationsAsked(db, shop.id, since)) >= ASKED_AN_HOUR
}

interface Invited {
  reviewId: number
  address: string
  /** The language in which the form was read; null if unknown. */
  customerLanguage: CustomerLanguage | null
  version: { title: string; body: string; authorName: string; rating: number | null; language: string | null }
}

// Text from the form is not quoted, so that nobody can send messages to strangers from the shop's address.
export async function requestConfirmation(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  { reviewId, address, version, customerLanguage: spoken }: Invited,
  kind: 'confirm' | 'ask' = 'confirm',
): Promise<void> {
  const link = await issueLink(services, trx, { purpose: 'confirm', reviewId, days: CONFIRM_DAYS })
  const language = languageOf(shop, { customerLanguage: spoken, language: version.language })
  const translate = customerTranslate(language)
  const parts: MailParts = {
    hello: greeting(translate, version.authorName),
    lines: [translate(`email.${kind}Intro`, { shop: shop.shortName })],
    quotation:
      kind === 'confirm'
        ? null
        : {
            rating: version.rating === null ? '' : translate('email.rated', { rating: version.rating / 100 }),
            title: version.title,
            body: version.body,
          },
    button: { label: translate(`email.${kind}Button`), address: link },
    after: [
      translate('email.confirmWhy', { shop: shop.shortName }),
      translate(`email.${kind}Not`, { days: CONFIRM_DAYS }),
    ],
  }
  await queueMail(services, trx, {
    shopId: shop.id,
    kind,
    reviewId,
    recipient: address,
    senderName: shop.name,
    language,
    subject: translate(`email.${kind}Subject`, { shop: shop.shortName }),
    text: plainText(parts),
    html: htmlText(parts),
  })
}

/** The language of an email to a customer: that of her form, otherwise that of her text, otherwise the shop's. */
export const languageOf = (
  shop: Pick<Shop, 'locale'>,
  review: { customerLanguage: CustomerLanguage | null; language: string | null },
): CustomerLanguage =>
  review.customerLanguage ?? customerLanguage(review.language ?? '') ?? customerLanguage(shop.locale) ?? 'en'

const paths: Record<TokenPurpose, string> = { confirm: 'confirm', review: 'r' }

/** The address of a new link in an email. */
export async function issueLink(
  services: Services,
  trx: Knex.Transaction,
  use: { purpose: TokenPurpose; reviewId: number; days: number },
): Promise<string> {
  const token = services.newSecret()
  await saveToken(services, trx, token, use)
  return `${services.publicUrl}/${paths[use.purpose]}/${token}`
}

async function saveToken(
  services: Services,
  trx: Knex,
  token: string,
  use: { purpose: TokenPurpose; reviewId: number; days: number },
): Promise<void> {
  const { purpose, reviewId, days } = use
  const now = services.now()
  await upsertToken(trx, {
    hash: hashToken(token),
    purpose,
    reviewId,
    createdAt: now.toISOString(),
    expiresAt: new Date(now.getTime() + days * DAY_MS).toISOString(),
  })
}

/** Derived, so that confirming a thousand times stores one token. */
const ownPageToken = ({ signingKey }: Services, confirmToken: string): string =>
  createHmac('sha256', signingKey).update(`own page ${confirmToken}`).digest('base64url')

/** Null if the link is unknown or has expired. */
export async function confirmView(
  { db, now }: Services,
  token: string,
): Promise<{ shop: Shop; review: Confirmable; confirmed: boolean } | null> {
  const found = await findToken(db, 'confirm', hashToken(token), now().toISOString())
  if (!found) return null
  const review = await confirmationOf(db, found.shopId, found.reviewId)
  const shop = await findShop(db, found.shopId)
  return { shop, review, confirmed: review.confirmedAt !== null }
}

/**
 * Confirms the email address of a review, looks for a purchase, and applies the rules again. A person's decision stays.
 * Returns the token of the customer's own page, or null if the link is unknown or has expired.
 */
export async function confirmEmail(services: Services, token: string): Promise<string | null> {
  const { db } = services
  const now = services.now().toISOString()
  const found = await findToken(db, 'confirm', hashToken(token), now)
  if (!found) return null
  const shop = await findShop(db, found.shopId)
  const own = ownPageToken(services, token)
  await writing(db, async (trx) => {
    await useToken(trx, found.id, now)
    const review = await confirmationOf(trx, shop.id, found.reviewId)
    if (review.confirmedAt === null) await confirm(services, trx, shop, review, now)
    await saveToken(services, trx, own, { purpose: 'review', reviewId: found.reviewId, days: REVIEW_DAYS })
  })
  services.changes.announce(shop.id, 'reviews')
  services.wakeJobs()
  return own
}

async function confirm(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  review: Confirmable,
  now: string,
): Promise<void> {
  const proof = review.verified
    ? null
    : await proveBuyer(trx, shop, { ...review, provenEmail: review.address, writtenAt: review.receivedAt })
  const verified = review.verified || (proof !== null && proof.line !== null)
  const before = await readDecisionState(trx, shop.id, review.id)
  await storeConfirmation(trx, shop.id, review, {
    proof: proof?.line ? { lineId: proof.line.id, method: proof.by } : null,
    proofFailure: proof && !proof.line ? proof.failure : null,
    now,
  })
  const judged = await judgeAgain(trx, shop, review, { confirmed: true, verified })
  await replaceRenewedSignals(trx, shop.id, review.versionId, judged.renewed)
  const full = (await findReview(trx, shop.id, { id: review.id }))!
  await moveByRules(
    trx,
    shop,
    review,
    before,
    goesOnByItself(review) ? judged : { state: review.state, byRule: null, unconfirmed: false },
    { act: 'confirm', actor: asCustomer, digest: digestOfVersion(full), at: now },
  )
  const after = (await findReview(trx, shop.id, { id: review.id }))!
  if (after.publishedVersionId !== null && after.showable)
    await markProductsStale(trx, shop.id, [before.productId], now)
  // Members did not hear of it while only its writer could do something.
  if (review.waitedForWriter && sourcePolicies[review.source].notifies && after.state !== 'spam')
    await tellOfArrival(services, trx, shop, { ...after, held: after.state === 'held' })
}

type AskOutcome = 'asked' | 'noMails' | 'noAddress' | 'enough' | 'gone'

/** Asks a customer to confirm a review that the shop wrote down for her. */
export async function askCustomerToConfirm(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  address: string,
): Promise<AskOutcome> {
  const { db } = services
  const review = await findReview(db, shop.id, { publicId })
  if (!review || sourcePolicies[review.source].typedBy !== 'shop' || review.confirmedAt !== null)
    return 'gone'
  if (!services.mailer) return 'noMails'
  if (!isAddress(address)) return 'noAddress'
  if (!(await mayInvite(services, { authorEmail: address }))) return 'enough'
  await writing(db, async (trx) => {
    const now = services.now().toISOString()
    await setCustomer(trx, shop.id, review.id, { publicId: services.newId(), address }, now)
    await requestConfirmation(
      services,
      trx,
      shop,
      { reviewId: review.id, address, version: review, customerLanguage: null },
      'ask',
    )
    const point = await readDecisionState(trx, shop.id, review.id)
    await appendDecision(trx, {
      shopId: shop.id,
      act: 'ask',
      actor,
      reviewId: review.id,
      before: { ...point },
      after: { ...point },
      digest: digestOfVersion(review),
      at: now,
    })
  })
  services.changes.announce(shop.id, 'reviews')
  services.wakeJobs()
  return 'asked'
}

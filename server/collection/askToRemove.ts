import type { Actor } from '../../core/moderation/actor'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { customerTranslate } from '../../core/messages/customers'
import { greeting } from '../../core/messages/customers/greeting'
import { appendDecision, decisionsOfReview } from '../data/decisions'
import { readDecisionState } from '../data/decisionStates'
import { findReview, type FullReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import { htmlText, plainText, type MailParts } from '../mail/mailParts'
import { queueMail } from '../mail/outbox'
import { digestOfVersion } from '../moderation/digest'
import type { Services } from '../services'
import { issueLink, languageOf, mayInvite } from './confirmation'

const LINK_DAYS = 30

type RemoveOutcome = 'asked' | 'already' | 'noMails' | 'enough' | 'gone'

/**
 * Asks the writer by email to remove personal data from her review. The link leads to her own page, or first to
 * the confirmation of her address. Each version is asked about once.
 */
export async function askToRemove(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
): Promise<RemoveOutcome> {
  const { db } = services
  const review = await findReview(db, shop.id, { publicId })
  if (!review || sourcePolicies[review.source].typedBy !== 'customer' || review.authorEmail === null)
    return 'gone'
  if (!services.mailer) return 'noMails'
  const digest = digestOfVersion(review)
  const asked = (await decisionsOfReview(db, shop.id, review.id)).some(
    (entry) => entry.act === 'askToRemove' && entry.digest === digest,
  )
  if (asked) return 'already'
  const address = review.authorEmail
  if (!(await mayInvite(services, { authorEmail: address }))) return 'enough'
  await writing(db, async (trx) => {
    const purpose = review.confirmedAt === null ? 'confirm' : 'review'
    const link = await issueLink(services, trx, { purpose, reviewId: review.id, days: LINK_DAYS })
    await queueMail(services, trx, removalMail(shop, review, address, link))
    const state = { ...(await readDecisionState(trx, shop.id, review.id)) }
    await appendDecision(trx, {
      shopId: shop.id,
      act: 'askToRemove',
      actor,
      reviewId: review.id,
      before: state,
      after: state,
      digest,
      at: services.now().toISOString(),
    })
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
  return 'asked'
}

/** Quotes nothing, because an unconfirmed address can be somebody else's. */
function removalMail(shop: Shop, review: FullReview, recipient: string, link: string) {
  const language = languageOf(shop, review)
  const translate = customerTranslate(language)
  const parts: MailParts = {
    hello: greeting(translate, review.authorName),
    lines: [translate('email.removeIntro', { shop: shop.shortName })],
    quotation: null,
    button: { label: translate('email.removeButton'), address: link },
    after: [translate('email.removeNot', { days: LINK_DAYS })],
  }
  return {
    shopId: shop.id,
    kind: 'remove' as const,
    reviewId: review.id,
    recipient,
    senderName: shop.name,
    language,
    subject: translate('email.removeSubject', { shop: shop.shortName }),
    text: plainText(parts),
    html: htmlText(parts),
  }
}

import { hundredthsOfFive } from '../../core/formats/rating'
import { languageOf } from '../../core/intake/language'
import type { OwnChange } from '../../core/intake/ownChange'
import type { PhotoRef } from '../../core/intake/photos'
import type { DecisionState } from '../../core/moderation/decisionState'
import { arrivalState, waitsForWriter } from '../../core/moderation/rules'
import { writersSignals } from '../../core/moderation/signals/writers'
import { spamScore } from '../../core/moderation/spamScore'
import { confirmationOf } from '../data/confirmations'
import { appendDecision, decisionsOfReview, readDecisionStates } from '../data/decisions'
import { formOfReview, type Form } from '../data/forms'
import { insertVersion, type NewVersion } from '../data/reviewVersions'
import { setUnconfirmed } from '../data/reviewWriting'
import { photosOfVersion, type PhotoOfVersion, type ReviewPhoto } from '../data/photos'
import { applyDecisionState, readDecisionState } from '../data/decisionStates'
import { findReview, versionWords, type FullReview, type VersionWords } from '../data/reviewReading'
import { findShop, type Shop } from '../data/shops'
import { findToken } from '../data/tokens'
import { writing } from '../data/writing'
import { pendingPhotos } from '../media/pendingPhotos'
import { digestOfVersion } from '../moderation/digest'
import { weighAlone } from '../moderation/weighAlone'
import { markDecisionStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { hashToken } from './formToken'

/** A review as its writer sees it. */
export interface OwnReview {
  shop: Shop
  review: FullReview
  photos: ReviewPhoto[]
  /** The form that photos are uploaded through. */
  form: Form | null
  /** The published text, if it differs from the latest version. */
  published: VersionWords | null
}

export async function ownReview(services: Services, token: string): Promise<OwnReview | null> {
  const { db, now } = services
  const found = await findToken(db, 'review', hashToken(token), now().toISOString())
  const review = found && (await findReview(db, found.shopId, { id: found.reviewId }))
  if (!review) return null
  const { publishedVersionId: published, versionId } = review
  return {
    shop: await findShop(db, found.shopId),
    review,
    photos: await photosOfVersion(db, found.shopId, versionId),
    form: await formOfReview(db, found.shopId, review.id),
    published: published !== null && published !== versionId ? await versionWords(db, published) : null,
  }
}

/**
 * Saves a new version, which is checked and decided on again. Until then the published version stays public.
 * @returns false if nothing differs
 */
export async function changeOwn(services: Services, token: string, change: OwnChange): Promise<boolean> {
  const own = await ownReview(services, token)
  if (!own || own.review.state === 'withdrawn') return false
  const { shop, review } = own
  const { db } = services
  const rating = hundredthsOfFive(change.rating, 5)
  const words = { title: change.title, body: change.body, authorName: change.author_name, rating }
  const photos = await photosChosen(services, own, change.media)
  const samePhotos = photos.length === own.photos.length && photos.every((photo) => 'id' in photo)
  const sameWords = Object.entries(words).every(
    ([part, value]) => review[part as keyof typeof words] === value,
  )
  if (sameWords && samePhotos) return false

  const confirmable = await confirmationOf(db, shop.id, review.id)
  const found = await weighAlone(services, shop, {
    publicId: review.publicId,
    ...words,
    authorEmail: confirmable.address,
    productSku: confirmable.productSku,
  })
  const confirmed = confirmable.confirmedAt !== null
  const signals = [
    ...found,
    ...writersSignals(confirmable.writers, {
      confirmed,
      verified: review.verified,
      photos: photos.length,
    }),
  ]
  const weighed = { score: spamScore(signals), kinds: signals.map(({ kind }) => kind) }
  // Spam stays spam, whatever the writer changes.
  const state = review.state === 'spam' ? 'spam' : arrivalState(weighed)
  const version = {
    ...words,
    ratingValue: change.rating,
    language: languageOf(`${words.title}\n${words.body}`),
    salt: services.newSecret(),
    signals,
    photos,
  }
  const unconfirmed = state === 'held' && waitsForWriter(weighed)
  await moveOwn(services, own, 'change', (point) => ({ ...point, state, declineReasonId: null }), {
    version,
    unconfirmed,
  })
  return true
}

/** The kept photos of the earlier version and the new ones, in the given order. */
async function photosChosen(
  services: Services,
  { form, photos }: OwnReview,
  refs: PhotoRef[],
): Promise<PhotoOfVersion[]> {
  const kept = new Map(photos.map(({ publicId, id }) => [publicId, id]))
  const stored = form ? await pendingPhotos(services, form, refs) : []
  return refs.flatMap(({ key }): PhotoOfVersion[] => {
    const id = kept.get(key)
    if (id !== undefined) return [{ id }]
    const photo = stored.find((one) => one.key === key)
    return photo ? [{ ...photo, publicId: services.newId() }] : []
  })
}

/** Withdraws a review or restores it, to the shop's decision or else to waiting. */
export async function withdrawOwn(services: Services, token: string, back: boolean): Promise<void> {
  const own = await ownReview(services, token)
  if (!own || (own.review.state === 'withdrawn') === back) return
  const to: Partial<DecisionState> = back
    ? { state: 'withdrawn', publishedVersionId: null, publishedAt: null }
    : { state: await stateToRestore(services, own) }
  await moveOwn(services, own, back ? 'takeBack' : 'bringBack', (point) => ({ ...point, ...to }))
}

/** The decision was reverted, so a person looks at it again. */
async function stateToRestore(
  { db }: Services,
  { shop, review }: OwnReview,
): Promise<DecisionState['state']> {
  const log = await decisionsOfReview(db, shop.id, review.id)
  const withdrawal = log.findLast(({ act }) => act === 'takeBack')
  const before = withdrawal ? readDecisionStates(withdrawal).before.state : undefined
  return before === undefined || before === 'approved' || before === 'withdrawn' ? 'waiting' : before
}

/** Whether visitors may read the review. */
export async function consentOwn(services: Services, token: string, given: boolean): Promise<void> {
  const own = await ownReview(services, token)
  if (!own || own.review.showable === given) return
  await moveOwn(services, own, given ? 'consent' : 'noConsent', (point) => ({ ...point, showable: given }))
}

async function moveOwn(
  services: Services,
  { shop, review }: OwnReview,
  act: string,
  to: (point: DecisionState) => DecisionState,
  change?: { version: NewVersion; unconfirmed: boolean },
): Promise<void> {
  await writing(services.db, async (trx) => {
    const now = services.now().toISOString()
    const before = await readDecisionState(trx, shop.id, review.id)
    const after = to(before)
    if (change) after.versionId = await insertVersion(trx, shop.id, review, change.version, now)
    await applyDecisionState(trx, shop.id, review.id, before, after, now)
    if (change) await setUnconfirmed(trx, shop.id, review.id, change.unconfirmed)
    await appendDecision(trx, {
      shopId: shop.id,
      act,
      reviewId: review.id,
      before: { ...before },
      after: { ...after },
      digest: digestOfVersion(change?.version ?? review),
      at: now,
    })
    await markDecisionStale(trx, shop.id, review.id, { before, after }, now)
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
}

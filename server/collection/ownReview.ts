import { hundredthsOfFive } from '../../core/formats/rating'
import { nothingAbout, type Candidate } from '../../core/intake/candidate'
import type { OwnChange } from '../../core/intake/ownChange'
import type { PhotoRef } from '../../core/intake/photos'
import { sourcePolicies, type Source } from '../../core/intake/sourcePolicy'
import { asCustomer } from '../../core/moderation/actor'
import type { DecisionState } from '../../core/moderation/decisionState'
import { trustedSubmission } from '../../core/moderation/submissionChecks'
import { confirmationOf } from '../data/confirmations'
import { appendDecision, decisionsOfReview, readDecisionStates } from '../data/decisions'
import { applyDecisionState, readDecisionState } from '../data/decisionStates'
import { formOfReview, type Form } from '../data/forms'
import { photosOfVersion, type ReviewPhoto } from '../data/photos'
import { findReview, versionWords, type FullReview, type VersionWords } from '../data/reviewReading'
import { findShop, type Shop } from '../data/shops'
import { findToken } from '../data/tokens'
import { writing } from '../data/writing'
import { releasePendingPhotos } from '../media/pendingPhotos'
import { digestOfVersion } from '../moderation/digest'
import { markDecisionStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { hashToken } from './formToken'
import { receive } from './receive'

/** A review as its writer sees it. */
interface OwnReview {
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
 * Receives her change like a submission: it is checked and decided on again. Until then the published version
 * stays public.
 * @returns false if nothing differs, or if she has withdrawn the review
 */
export async function changeOwn(services: Services, token: string, change: OwnChange): Promise<boolean> {
  const own = await ownReview(services, token)
  if (!own) return false
  const { shop, review } = own
  const photos = await photosChosen(services, own, change.media)
  const rating = change.rating === null ? null : { value: change.rating, scale: 5 }
  const samePhotos = photos.length === own.photos.length && photos.every((photo) => 'id' in photo)
  const sameWords =
    review.title === change.title &&
    review.body === change.body &&
    review.authorName === change.author_name &&
    review.rating === (rating && hundredthsOfFive(rating.value, rating.scale))
  if (sameWords && samePhotos) return false
  const { address, productSku, writers } = await confirmationOf(services.db, shop.id, review.id)
  const candidate: Candidate = {
    source: changedBy(review.source),
    identity: { by: 'review', id: review.id },
    formId: own.form?.id ?? null,
    ...trustedSubmission,
    writers,
    fillSeconds: null,
    ip: '',
    arrivesAs: 'waiting',
    rating,
    title: change.title,
    body: change.body,
    authorName: change.author_name,
    authorEmail: address,
    orderNumber: '',
    productSku,
    writtenAt: null,
    about: nothingAbout,
    photos,
    note: '',
    tags: [],
    // Those to a form's questions stay as they were given.
    answers: review.answers,
    posted: null,
    evidence: [],
    customerLanguage: review.customerLanguage,
    consent: { answer: review.showable ? 'given' : 'refused', text: '' },
  }
  const batch = { actor: asCustomer, intake: null, candidates: [candidate] }
  const { received } = await receive(services, shop, batch)
  return received[0]!.outcome === 'changed'
}

/** As what a change by its writer comes in: one that the shop typed is hers from then on. */
const changedBy = (source: Source): Source =>
  sourcePolicies[source].typedBy === 'customer' ? source : 'form'

/** The kept photos of the earlier version and the new ones, in the given order. */
async function photosChosen(
  services: Services,
  { form, photos }: OwnReview,
  refs: PhotoRef[],
): Promise<Candidate['photos']> {
  const kept = new Map(photos.map((photo) => [photo.publicId, photo]))
  const stored = form ? await releasePendingPhotos(services, form, refs) : []
  return refs.flatMap(({ key }) => kept.get(key) ?? stored.find((photo) => photo.key === key) ?? [])
}

/** Withdraws a review or restores it, to the shop's decision or else to waiting. */
export async function withdrawOwn(services: Services, token: string, back: boolean): Promise<void> {
  const own = await ownReview(services, token)
  if (!own) return
  const to: Partial<DecisionState> = back
    ? { state: 'withdrawn', publishedVersionId: null, publishedAt: null }
    : { state: await stateToRestore(services, own) }
  await moveOwn(services, own, back ? 'takeBack' : 'bringBack', (point) =>
    (point.state === 'withdrawn') === back ? null : { ...point, ...to },
  )
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
  if (!own) return
  await moveOwn(services, own, given ? 'consent' : 'noConsent', (point) =>
    point.showable === given || !sourcePolicies[own.review.source].isPublic
      ? null
      : { ...point, showable: given },
  )
}

async function moveOwn(
  services: Services,
  { shop, review }: OwnReview,
  act: string,
  to: (point: DecisionState) => DecisionState | null,
): Promise<void> {
  await writing(services.db, async (trx) => {
    const now = services.now().toISOString()
    const before = await readDecisionState(trx, shop.id, review.id)
    const after = to(before)
    if (!after) return
    await applyDecisionState(trx, shop.id, review.id, before, after, now)
    await appendDecision(trx, {
      shopId: shop.id,
      act,
      actor: asCustomer,
      reviewId: review.id,
      before: { ...before },
      after: { ...after },
      digest: digestOfVersion(review),
      at: now,
    })
    await markDecisionStale(trx, shop.id, review.id, { before, after }, now)
  })
  services.changes.announce(shop.id, 'reviews')
  services.wakeJobs()
}

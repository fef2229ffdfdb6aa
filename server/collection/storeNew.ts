import type { Knex } from 'knex'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { appendDecisions } from '../data/decisions'
import { insertEvidence, setEvidence } from '../data/evidenceFiles'
import { insertImprints } from '../data/fingerprints'
import { insertReviews, type NewReview, type ReviewIds } from '../data/reviewWriting'
import type { Shop } from '../data/shops'
import { tagReview, tagsNamed } from '../data/tags'
import { tellOfArrival } from '../mail/notifyMembers'
import { digestOfVersion } from '../moderation/digest'
import { assignReviewGroup } from '../moderation/reviewGroups'
import { markProductsStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { requestConfirmation } from './confirmation'
import { storedIdentity } from './identity'
import type { Arrived, Batch, Received } from './receive'

/** Stores new reviews, logs their arrival, and does what follows from it. */
export async function storeNew(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  { actor, intake }: Pick<Batch, 'actor' | 'intake'>,
  arrived: Arrived[],
): Promise<Received[]> {
  if (arrived.length === 0) return []
  const reviews = arrived.map((one) => newReview(services, one, intake?.id ?? null))
  const ids = await insertReviews(trx, shop.id, reviews)
  const entries = []
  for (const [i, review] of reviews.entries()) {
    const { candidate } = arrived[i]!
    const approved = review.state === 'approved'
    entries.push({
      act: sourcePolicies[review.source].arrivalAct,
      actor,
      reviewId: ids[i]!.reviewId,
      before: {},
      after: {
        state: review.state,
        publishedVersionId: approved ? ids[i]!.versionId : null,
        publishedAt: approved ? review.receivedAt : null,
        ...(await besides(services, trx, shop, candidate, ids[i]!, review.receivedAt)),
      },
      digest: digestOfVersion(review.version),
      at: review.receivedAt,
      batch: intake?.publicId ?? null,
    })
  }
  await appendDecisions(trx, shop.id, entries)
  for (const [i, review] of reviews.entries())
    await followUp(services, trx, shop, arrived[i]!, { review, reviewId: ids[i]!.reviewId })
  const shown = reviews.filter(({ state, showable }) => state === 'approved' && showable)
  if (shown.length > 0)
    await markProductsStale(
      trx,
      shop.id,
      [...new Set(shown.map(({ productId }) => productId))],
      shown[0]!.receivedAt,
    )
  return reviews.map(({ publicId, state, showable, unconfirmed }, i) => ({
    outcome: 'stored',
    reviewId: ids[i]!.reviewId,
    publicId,
    receipt: { publicId, state, showable, unconfirmed, confirm: arrived[i]!.invited },
  }))
}

function newReview(
  services: Services,
  { candidate, product, judged }: Arrived,
  intakeId: number | null,
): NewReview {
  const { receivedAt, rating, proof } = judged
  const { reviewId: _reviewId, ...identity } = storedIdentity(candidate)
  return {
    ...identity,
    publicId: judged.publicId,
    source: candidate.source,
    formId: candidate.formId,
    intakeId,
    productId: product?.id ?? null,
    state: judged.state,
    showable: candidate.consent.answer !== 'refused',
    proof: proof?.line ? { lineId: proof.line.id, method: proof.by } : null,
    proofFailure: sourcePolicies[candidate.source].explainsProof ? (proof?.failure ?? null) : null,
    unconfirmed: judged.unconfirmed,
    claimedOrder: candidate.orderNumber,
    score: judged.score,
    ip: candidate.ip,
    fillSeconds: candidate.fillSeconds,
    receivedAt,
    note: candidate.note,
    customerLanguage: candidate.customerLanguage,
    customer: candidate.authorEmail ? { publicId: services.newId(), address: candidate.authorEmail } : null,
    version: {
      title: candidate.title,
      body: candidate.body,
      authorName: candidate.authorName,
      ratingValue: candidate.rating?.value ?? null,
      ratingScale: candidate.rating?.scale ?? null,
      rating,
      language: judged.language,
      consentText: candidate.consent.text,
      consentAnswer: candidate.consent.answer,
      ...(candidate.writtenAt
        ? { writtenAt: candidate.writtenAt, writtenPrecision: 'day' }
        : { writtenAt: receivedAt, writtenPrecision: 'moment' }),
      about: candidate.about,
      salt: services.newSecret(),
    },
    signals: judged.signals,
    photos: candidate.photos.map((photo) =>
      'id' in photo ? { id: photo.id } : { ...photo, publicId: services.newId() },
    ),
  }
}

/** Tags and evidence; returns them for the log. */
async function besides(
  { newId }: Services,
  trx: Knex.Transaction,
  shop: Shop,
  { tags, evidence }: Arrived['candidate'],
  { reviewId }: ReviewIds,
  now: string,
): Promise<{ tagIds?: number[]; evidenceIds?: number[] }> {
  const tagIds = await tagsNamed(trx, shop.id, tags)
  const evidenceIds: number[] = []
  for (const file of evidence) {
    const stored = { ...file, publicId: newId(), content: Buffer.from(file.content) }
    evidenceIds.push(await insertEvidence(trx, shop.id, reviewId, stored, now))
  }
  await tagReview(trx, shop.id, reviewId, tagIds)
  await setEvidence(trx, reviewId, evidenceIds, true)
  return { ...(tagIds.length > 0 && { tagIds }), ...(evidenceIds.length > 0 && { evidenceIds }) }
}

/** The fingerprint, the group, and emails, as far as the source asks for them. */
async function followUp(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  { candidate, judged, invited }: Arrived,
  { review, reviewId }: { review: NewReview; reviewId: number },
): Promise<void> {
  const { history, imprint } = judged
  if (imprint) await insertImprints(trx, shop.id, [{ reviewId, ...imprint }])
  await assignReviewGroup(trx, shop, review, history, review.receivedAt)
  const { notifies } = sourcePolicies[review.source]
  if (notifies && review.state !== 'spam' && !review.unconfirmed)
    await tellOfArrival(services, trx, shop, {
      ...review.version,
      publicId: review.publicId,
      receivedAt: review.receivedAt,
      held: review.state === 'held',
    })
  if (invited)
    await requestConfirmation(services, trx, shop, { ...review, reviewId, address: candidate.authorEmail })
}

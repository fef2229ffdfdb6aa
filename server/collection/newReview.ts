import { isShowable, sourcePolicies } from '../../core/intake/sourcePolicy'
import type { NewReview } from '../data/reviewWriting'
import type { Services } from '../services'
import { storedIdentity } from './identity'
import type { Arrived } from './arrived'

/** What is stored of a candidate. */
export function newReview(
  services: Services,
  { candidate, product, judged }: Pick<Arrived, 'candidate' | 'product' | 'judged'>,
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
    listingId: candidate.posted?.listingId ?? null,
    productId: product?.id ?? null,
    state: judged.state,
    showable: isShowable(candidate.source, candidate.consent.answer),
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
      answers: candidate.answers,
      salt: services.newSecret(),
    },
    signals: judged.signals,
    photos: candidate.photos.map((photo) =>
      'id' in photo ? { id: photo.id } : { ...photo, publicId: services.newId() },
    ),
  }
}

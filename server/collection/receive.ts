import type { Knex } from 'knex'
import type { Candidate } from '../../core/intake/candidate'
import { languageOf } from '../../core/intake/language'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { hundredthsOfFive } from '../../core/formats/rating'
import { orderNumberCandidates } from '../../core/moderation/signals/personal'
import { arrivalState, waitsForWriter } from '../../core/moderation/rules'
import { writersSignals } from '../../core/moderation/signals/writers'
import type { Place } from '../../core/moderation/signal'
import { spamScore } from '../../core/moderation/spamScore'
import { appendDecision } from '../data/decisions'
import { insertEvidence, setEvidence } from '../data/evidenceFiles'
import { insertImprints } from '../data/fingerprints'
import { knownOrderKeys } from '../data/orders'
import type { Member } from '../data/members'
import { findReceipt, type Receipt } from '../data/receipts'
import { insertReview, type NewReview } from '../data/reviewWriting'
import { productWithSku } from '../data/products'
import type { Shop } from '../data/shops'
import { tagReview, tagsNamed } from '../data/tags'
import { writing } from '../data/writing'
import { assignReviewGroup } from '../moderation/reviewGroups'
import type { ArrivalToWeigh, WeighedArrival } from '../moderation/weighedArrival'
import { digestOfVersion } from '../moderation/digest'
import { markProductsStale } from '../publishing/staleDisplays'
import { proveBuyer } from '../proof/proveBuyer'
import type { Services } from '../services'
import { tellOfArrival } from '../mail/notifyMembers'
import { requestConfirmation, mayInvite } from './confirmation'
import { hashToken } from './formToken'

const MOST_WEIGHING_MS = 20_000

/** Stores a review from any source, once. */
export async function receive(
  services: Services,
  shop: Shop,
  sent: Candidate,
  member: Member | null = null,
): Promise<Receipt> {
  const { db } = services
  const product = await productWithSku(db, shop.id, sent.productSku)
  const candidate = { ...sent, productSku: product?.sku ?? '' }
  const policy = sourcePolicies[candidate.source]
  const tokenHash = candidate.token === null ? null : hashToken(candidate.token)
  const earlier = await receiptByToken(db, shop, tokenHash)
  if (earlier) return earlier

  const receivedAt = services.now().toISOString()
  const proof = await proveBuyer(db, shop, { ...candidate, provenEmail: '', writtenAt: receivedAt })
  const publicId = services.newId()
  const rating = candidate.rating && hundredthsOfFive(candidate.rating.value, candidate.rating.scale)
  const {
    signals: found,
    history,
    imprint,
  } = await weighed(services, shop, candidate, {
    id: publicId,
    rating,
    receivedAt,
  })
  const signals = [
    ...found,
    ...writersSignals(candidate.writers, {
      confirmed: false,
      verified: proof.line !== null,
      photos: candidate.photos.length,
    }),
  ]
  const score = spamScore(signals)
  const kinds = signals.map(({ kind }) => kind)
  const state = arrivalState({ score, kinds }, candidate.arrivesAs)

  const review: NewReview = {
    publicId,
    shopId: shop.id,
    source: candidate.source,
    formId: candidate.formId,
    memberId: member?.id ?? null,
    tokenHash,
    productId: product?.id ?? null,
    state,
    showable: candidate.consent.answer !== 'refused',
    proof: proof.line && { lineId: proof.line.id, method: proof.by },
    proofFailure: policy.explainsProof ? proof.failure : null,
    unconfirmed: waitsForWriter({ score, kinds }),
    claimedOrder: candidate.orderNumber,
    score,
    ip: candidate.ip,
    fillSeconds: candidate.fillSeconds,
    receivedAt,
    written: candidate.writtenAt
      ? { at: candidate.writtenAt, precision: 'day' }
      : { at: receivedAt, precision: 'moment' },
    note: candidate.note,
    customerLanguage: candidate.customerLanguage,
    customer: candidate.authorEmail
      ? {
          publicId: services.newId(),
          emailKey: candidate.authorEmail.trim().toLowerCase(),
          address: candidate.authorEmail,
        }
      : null,
    version: {
      title: candidate.title,
      body: candidate.body,
      authorName: candidate.authorName,
      ratingValue: candidate.rating?.value ?? null,
      ratingScale: candidate.rating?.scale ?? null,
      rating,
      language: languageOf(`${candidate.title}\n${candidate.body}`),
      consentText: candidate.consent.text,
      consentAnswer: candidate.consent.answer,
      about: candidate.about,
      salt: services.newSecret(),
    },
    signals,
    photos: candidate.photos.map((photo) => ({ ...photo, publicId: services.newId() })),
  }
  const invited = policy.asksToConfirm && state !== 'spam' && (await mayInvite(services, candidate))
  try {
    await writing(db, async (trx) => {
      const reviewId = await storeAndLog(services, trx, review, candidate)
      if (imprint) await insertImprints(trx, shop.id, [{ reviewId, ...imprint }])
      await assignReviewGroup(trx, shop, review, history, receivedAt)
      if (policy.notifies && state !== 'spam' && !review.unconfirmed)
        await tellOfArrival(services, trx, shop, {
          ...review.version,
          publicId,
          receivedAt,
          held: state === 'held',
        })
      if (invited)
        await requestConfirmation(services, trx, shop, {
          ...review,
          reviewId,
          address: candidate.authorEmail,
        })
    })
  } catch (error) {
    await services.workers.run('forgetArrival', { shopId: shop.id, id: publicId }).catch(() => undefined)
    // Another request stored the same token first.
    const first = await receiptByToken(db, shop, tokenHash)
    if (first) return first
    throw error
  }
  services.changes.announce(shop.id)
  services.wakeJobs()
  return {
    publicId: review.publicId,
    state,
    showable: review.showable,
    confirm: invited,
    unconfirmed: review.unconfirmed,
  }
}

async function receiptByToken(db: Knex, shop: Shop, tokenHash: string | null): Promise<Receipt | null> {
  return tokenHash === null ? null : findReceipt(db, shop.id, { tokenHash })
}

/** Scores a review, compared with earlier ones if its source says so. */
async function weighed(
  services: Services,
  shop: Shop,
  candidate: Candidate,
  { id, rating, receivedAt }: { id: string; rating: number | null; receivedAt: string },
): Promise<WeighedArrival> {
  const { db, workers } = services
  const arrival: ArrivalToWeigh = {
    shopId: shop.id,
    alone: !sourcePolicies[candidate.source].compared,
    arriving: {
      id,
      title: candidate.title,
      // Visitors can read the descriptions of photos.
      body: [candidate.body, ...candidate.photos.map(({ alt }) => alt)].filter(Boolean).join('\n'),
      rating,
      authorName: candidate.authorName,
      authorEmail: candidate.authorEmail,
      ip: candidate.ip,
      receivedAt,
      product: candidate.productSku,
      fillSeconds: candidate.fillSeconds,
    },
    circumstances: {
      ownDomains: shop.ownDomains,
      knownOrderKeys: await knownOrderKeys(db, shop.id, orderNumberCandidates(candidate)),
      tokenGood: candidate.tokenGood,
      trapSprung: candidate.trapSprung,
      workMissing: candidate.workMissing,
    },
  }
  const one = await workers.run('weighArrival', arrival, { mostMs: MOST_WEIGHING_MS })
  const inWords = ({ field, end }: Place) => end <= candidate[field].length
  return {
    ...one,
    signals: one.signals.map((signal) => ({ ...signal, places: signal.places.filter(inWords) })),
  }
}

async function storeAndLog(
  { newId }: Services,
  trx: Knex.Transaction,
  review: NewReview,
  { tags, evidence }: Candidate,
): Promise<number> {
  const { reviewId, versionId } = await insertReview(trx, review)
  const tagIds = await tagsNamed(trx, review.shopId, tags)
  const evidenceIds: number[] = []
  for (const file of evidence) {
    const stored = { ...file, publicId: newId(), content: Buffer.from(file.content) }
    evidenceIds.push(await insertEvidence(trx, review.shopId, reviewId, stored, review.receivedAt))
  }
  await tagReview(trx, review.shopId, reviewId, tagIds)
  await setEvidence(trx, reviewId, evidenceIds, true)
  const approved = review.state === 'approved'
  await appendDecision(trx, {
    shopId: review.shopId,
    act: sourcePolicies[review.source].arrivalAct,
    memberId: review.memberId,
    reviewId,
    before: {},
    after: {
      state: review.state,
      publishedVersionId: approved ? versionId : null,
      publishedAt: approved ? review.receivedAt : null,
      ...(tagIds.length > 0 && { tagIds }),
      ...(evidenceIds.length > 0 && { evidenceIds }),
    },
    digest: digestOfVersion(review.version),
    at: review.receivedAt,
  })
  if (approved && review.showable)
    await markProductsStale(trx, review.shopId, [review.productId], review.receivedAt)
  return reviewId
}

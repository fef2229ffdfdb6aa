import type { Knex } from 'knex'
import { hundredthsOfFive } from '../../core/formats/rating'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import type { Candidate } from '../../core/intake/candidate'
import type { DecisionState } from '../../core/moderation/decisionState'
import { applyDecisionState, readDecisionState } from '../data/decisionStates'
import { appendDecision, latestActOn } from '../data/decisions'
import { insertImprints } from '../data/fingerprints'
import type { KnownReview } from '../data/knownReviews'
import { insertVersion, type NewVersion } from '../data/reviewVersions'
import { findReview } from '../data/reviewReading'
import { setUnconfirmed } from '../data/reviewWriting'
import type { Shop } from '../data/shops'
import { digestOfVersion } from '../moderation/digest'
import { markDecisionStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import type { Arrived, Batch } from './arrived'

/** The origin no longer shows it. */
const VANISH = 'vanish'

/** Whether a known review says something else now, or is back. */
export function isChanged({ identity, rating, ...says }: Candidate, known: KnownReview): boolean {
  // A token says only that a form was sent twice.
  if (identity.by === 'token') return known.state === 'undone'
  // Whoever changes it by hand asked before whether anything differs.
  if (identity.by === 'review') return true
  return (
    known.state === 'undone' ||
    known.state === 'withdrawn' ||
    known.title !== says.title ||
    known.body !== says.body ||
    known.authorName !== says.authorName ||
    JSON.stringify(known.answers) !== JSON.stringify(says.answers) ||
    known.rating !== (rating && hundredthsOfFive(rating.value, rating.scale))
  )
}

/**
 * Stores a change as a version, which is decided on again. Until then the published version stays public.
 * Returns false if nothing happens: its writer has withdrawn it.
 */
export async function changeKnown(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  { actor, intake }: Pick<Batch, 'actor' | 'intake'>,
  { candidate, known, judged }: Arrived,
): Promise<boolean> {
  const before = await readDecisionState(trx, shop.id, known!.id)
  if (before.state === 'withdrawn' && !(await isBack(trx, shop, candidate, known!))) return false
  const now = judged.receivedAt
  const version = newVersion(services, candidate, judged)
  // What the shop has declined is not shown again because its origin has changed it.
  const state = before.state === 'declined' && judged.state === 'approved' ? 'waiting' : judged.state
  const after: DecisionState = { ...before, state, declineReasonId: null }
  after.versionId = await insertVersion(trx, shop.id, known!, version, now)
  if (after.state === 'approved')
    Object.assign(after, { publishedVersionId: after.versionId, publishedAt: now })
  await applyDecisionState(trx, shop.id, known!.id, before, after, now)
  await setUnconfirmed(trx, shop.id, known!.id, judged.unconfirmed)
  if (judged.imprint) await insertImprints(trx, shop.id, [{ reviewId: known!.id, ...judged.imprint }])
  await appendDecision(trx, {
    shopId: shop.id,
    act: sourcePolicies[candidate.source].changeAct,
    actor,
    reviewId: known!.id,
    before: { ...before },
    after: { ...after },
    digest: digestOfVersion({ answers: known!.answers, ...version }),
    at: now,
    batch: intake?.publicId ?? null,
  })
  await markDecisionStale(trx, shop.id, known!.id, { before, after }, now)
  return true
}

/** Whether its origin had withdrawn it and shows it again. */
async function isBack(
  trx: Knex.Transaction,
  shop: Shop,
  { identity }: Candidate,
  known: KnownReview,
): Promise<boolean> {
  return identity.by === 'externalKey' && (await latestActOn(trx, shop.id, known.id))?.act === VANISH
}

function newVersion(services: Services, candidate: Candidate, judged: Arrived['judged']): NewVersion {
  const { rating, about, consent, writtenAt } = candidate
  return {
    title: candidate.title,
    body: candidate.body,
    authorName: candidate.authorName,
    rating: judged.rating,
    ratingValue: rating?.value ?? null,
    ratingScale: rating?.scale ?? null,
    language: judged.language,
    salt: services.newSecret(),
    // Its writer changes her words, not what is known of her.
    ...(candidate.identity.by !== 'review' && {
      about,
      answers: candidate.answers,
      consentAnswer: consent.answer,
      consentText: consent.text,
      ...(writtenAt && { writtenAt, writtenPrecision: 'day' }),
    }),
    signals: judged.signals,
    photos: candidate.photos.map((photo) =>
      'id' in photo ? { id: photo.id } : { ...photo, publicId: services.newId() },
    ),
  }
}

/** Withdraws reviews that their origin no longer shows. */
export async function withdrawVanished(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  { actor, intake }: Pick<Batch, 'actor' | 'intake'>,
  reviewIds: number[],
): Promise<void> {
  const now = services.now().toISOString()
  for (const id of reviewIds) {
    const before = await readDecisionState(trx, shop.id, id)
    if (before.state === 'withdrawn' || before.state === 'undone') continue
    const after: DecisionState = {
      ...before,
      state: 'withdrawn',
      publishedVersionId: null,
      publishedAt: null,
    }
    await applyDecisionState(trx, shop.id, id, before, after, now)
    await appendDecision(trx, {
      shopId: shop.id,
      act: VANISH,
      actor,
      reviewId: id,
      before: { ...before },
      after: { ...after },
      digest: digestOfVersion((await findReview(trx, shop.id, { id }))!),
      at: now,
      batch: intake?.publicId ?? null,
    })
    await markDecisionStale(trx, shop.id, id, { before, after }, now)
  }
}

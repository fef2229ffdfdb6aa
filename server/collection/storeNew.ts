import type { Knex } from 'knex'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import type { ArrivalState } from '../../core/moderation/rules'
import { appendDecisions } from '../data/decisions'
import { insertEvidence, setEvidence } from '../data/evidenceFiles'
import { insertImprints } from '../data/fingerprints'
import { insertReviews, type ReviewIds } from '../data/reviewWriting'
import type { Shop } from '../data/shops'
import { tagReview, tagsNamed } from '../data/tags'
import { tellOfArrival } from '../mail/notifyMembers'
import { digestOfVersion } from '../moderation/digest'
import { assignReviewGroup } from '../moderation/reviewGroups'
import { markProductsStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { requestConfirmation } from './confirmation'
import type { Arrived, Batch, Received } from './arrived'

/** Stores new reviews, logs their arrival, and does what follows from it. */
export async function storeNew(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  { actor, intake }: Pick<Batch, 'actor' | 'intake'>,
  arrived: Arrived[],
): Promise<Received[]> {
  if (arrived.length === 0) return []
  const reviews = arrived.map(({ review }) => review)
  const ids = await insertReviews(trx, shop.id, reviews)
  const entries: Parameters<typeof appendDecisions>[2] = []
  for (const [i, review] of reviews.entries()) {
    const { candidate, judged } = arrived[i]!
    const { reviewId, versionId } = ids[i]!
    const { receivedAt: at } = review
    const others = await besides(services, trx, shop, candidate, ids[i]!, at)
    const inState = (state: ArrivalState) => ({
      state,
      publishedVersionId: state === 'approved' ? versionId : null,
      publishedAt: state === 'approved' ? at : null,
    })
    const entry = { reviewId, digest: digestOfVersion(review.version), at, batch: intake?.publicId ?? null }
    const stateBefore = judged.byRule?.stateBefore ?? review.state
    const after = { ...inState(stateBefore), ...others }
    entries.push({ ...entry, act: sourcePolicies[review.source].arrivalAct, actor, before: {}, after })
    if (judged.byRule)
      entries.push({
        ...entry,
        act: 'rule',
        actor: { kind: 'rule', rule: judged.byRule.rule },
        before: inState(stateBefore),
        after: inState(review.state),
      })
  }
  await appendDecisions(trx, shop.id, entries)
  for (const i of reviews.keys()) await followUp(services, trx, shop, arrived[i]!, ids[i]!)
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
    receipt: {
      ...{ publicId, state, showable, unconfirmed },
      hasAddress: arrived[i]!.candidate.authorEmail !== '',
      confirm: arrived[i]!.invited,
    },
  }))
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
  { candidate, judged, review, invited }: Arrived,
  { reviewId }: ReviewIds,
): Promise<void> {
  const { history, imprint } = judged
  if (imprint) await insertImprints(trx, shop.id, [{ reviewId, ...imprint }])
  await assignReviewGroup(trx, shop, review, history, review.receivedAt)
  const { notifies } = sourcePolicies[review.source]
  if (notifies && review.state !== 'spam' && !review.unconfirmed)
    await tellOfArrival(services, trx, shop, {
      ...review.version,
      publicId: review.publicId,
      held: review.state === 'held',
    })
  if (invited)
    await requestConfirmation(services, trx, shop, { ...review, reviewId, address: candidate.authorEmail })
}

import type { Knex } from 'knex'
import { memberIdOf, type Actor } from '../../core/moderation/actor'
import type { ReviewAct } from '../../core/moderation/reviewAct'
import type { DecisionState } from '../../core/moderation/decisionState'
import { confirmationOf, replaceRenewedSignals } from '../data/confirmations'
import { appendDecision } from '../data/decisions'
import { insertVouch, noteRevocation } from '../data/evidence'
import { photosOfReview } from '../data/photos'
import { insertDeclineReason, insertReply, updateReplyDraft } from '../data/replies'
import { applyDecisionState, readDecisionState } from '../data/decisionStates'
import { endTokens } from '../data/tokens'
import type { FullReview } from '../data/reviewReading'
import { productWithSku } from '../data/products'
import type { Shop } from '../data/shops'
import { findTag, tagNamed } from '../data/tags'
import { markDecisionStale } from '../publishing/staleDisplays'
import { digestOfVersion } from './digest'
import { judgeAgain } from './judgeAgain'

export interface Acting {
  trx: Knex.Transaction
  shop: Shop
  actor: Actor
  now: string
  batch: string | null
}

/** Changes a review, logs it, and lists the displays to render. Returns false if nothing changes. */
export async function actOnReview(acting: Acting, review: FullReview, act: ReviewAct): Promise<boolean> {
  const before = await readDecisionState(acting.trx, acting.shop.id, review.id)
  const change = await changeBy(acting, review, before, act)
  if (!change) return false
  await moveReview(acting, review, before, { ...before, ...change }, act.kind, null)
  return true
}

export async function moveReview(
  { trx, shop, actor, now, batch }: Acting,
  review: FullReview,
  before: DecisionState,
  after: DecisionState,
  act: string,
  undoesId: number | null,
): Promise<void> {
  await applyDecisionState(trx, shop.id, review.id, before, after, now)
  if (before.verificationId !== after.verificationId) {
    const stored = await confirmationOf(trx, shop.id, review.id)
    const { renewed } = await judgeAgain(trx, shop, stored, {})
    // A member's decision on the state wins over the rules.
    await replaceRenewedSignals(trx, shop.id, stored.versionId, renewed)
  }
  // A customer confirms only what she was asked about.
  if (before.versionId !== after.versionId) await endTokens(trx, review.id, 'confirm')
  await appendDecision(trx, {
    shopId: shop.id,
    act,
    actor,
    reviewId: review.id,
    undoesId,
    before: { ...before },
    after: { ...after },
    digest: digestOfVersion(review),
    at: now,
    batch,
  })
  await markDecisionStale(trx, shop.id, review.id, { before, after }, now)
}

const unpublished = { publishedVersionId: null, publishedAt: null }

/** Null if nothing changes. */
async function changeBy(
  { trx, shop, actor, now }: Acting,
  review: FullReview,
  before: DecisionState,
  act: ReviewAct,
): Promise<Partial<DecisionState> | null> {
  // Only people reply and vouch.
  const memberId = memberIdOf(actor)
  switch (act.kind) {
    case 'approve':
      if (before.state === 'approved') return null
      return {
        state: 'approved',
        publishedVersionId: review.versionId,
        publishedAt: now,
        declineReasonId: null,
      }
    case 'spam':
      return before.state === 'spam' ? null : { state: 'spam', ...unpublished, declineReasonId: null }
    case 'decline': {
      if (before.state === 'declined') return null
      const declineReasonId = await reasonId(trx, shop, review, act.reason)
      return { state: 'declined', ...unpublished, declineReasonId }
    }
    case 'reason':
      if (before.state !== 'declined' || act.reason === review.declineReason) return null
      return { declineReasonId: await reasonId(trx, shop, review, act.reason) }
    case 'move': {
      const product = await productWithSku(trx, shop.id, act.product)
      const productId = product?.id ?? null
      return productId === before.productId || (act.product !== '' && !product) ? null : { productId }
    }
    case 'tag': {
      const tagId = await tagNamed(trx, shop.id, act.tag)
      return before.tagIds.includes(tagId)
        ? null
        : { tagIds: [...before.tagIds, tagId].sort((a, b) => a - b) }
    }
    case 'untag': {
      const tag = await findTag(trx, shop.id, act.tag)
      if (!tag || !before.tagIds.includes(tag.id)) return null
      return { tagIds: before.tagIds.filter((id) => id !== tag.id) }
    }
    case 'reply': {
      if (memberId === null || act.reply === review.reply?.body) return null
      await updateReplyDraft(trx, shop.id, review.publicId, '')
      const reply = { shopId: shop.id, reviewId: review.id, memberId, name: shop.replyName }
      return { replyId: await insertReply(trx, { ...reply, body: act.reply, postedAt: now }) }
    }
    case 'hidePhoto':
    case 'showPhoto': {
      const photos = await photosOfReview(trx, shop.id, review.id)
      const photo = photos.find(({ publicId }) => publicId === act.photo)
      const hide = act.kind === 'hidePhoto'
      if (!photo || photo.declined === hide) return null
      const others = before.declinedPhotoIds.filter((id) => id !== photo.id)
      return { declinedPhotoIds: hide ? [...others, photo.id].sort((a, b) => a - b) : others }
    }
    case 'vouch': {
      if (memberId === null || before.verificationId !== null) return null
      const evidence = { shopId: shop.id, reviewId: review.id, memberId, reason: act.reason }
      return { verificationId: await insertVouch(trx, { ...evidence, now }) }
    }
    case 'unvouch':
      if (before.verificationId === null) return null
      await noteRevocation(trx, before.verificationId, memberId, act.reason)
      return { verificationId: null }
    case 'unreply':
      if (before.replyId === null) return null
      // The text of a deleted reply stays as a draft.
      await updateReplyDraft(trx, shop.id, review.publicId, review.reply?.body ?? '')
      return { replyId: null }
  }
}

async function reasonId(
  trx: Knex.Transaction,
  shop: Shop,
  review: FullReview,
  reason: string,
): Promise<number | null> {
  return reason === '' ? null : insertDeclineReason(trx, { shopId: shop.id, reviewId: review.id, reason })
}

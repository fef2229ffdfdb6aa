import type { Knex } from 'knex'
import type { Actor } from '../../core/moderation/actor'
import { changedParts, revertChange } from '../../core/moderation/decisionState'
import type { ReviewState } from '../../core/moderation/rules'
import {
  isOvertaken,
  isUndone,
  latestStandingAct,
  readDecisionStates,
  standingAct,
  standingOfBatch,
  type Decision,
} from '../data/decisions'
import { readDecisionState } from '../data/decisionStates'
import { findReview, type FullReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { moveReview, type Acting } from './actOnReview'

type UndoOutcome =
  | { outcome: 'done'; review: FullReview; state: ReviewState; count: number }
  | { outcome: 'overtaken' | 'confirmed'; review: FullReview; decisionId: number }
  | { outcome: 'nothing' }

/**
 * Reverts the member's latest act that still holds, on all reviews that it changed.
 * @param passing acts to skip: those that conflict with later acts of others, after the member was told so
 */
export async function undo(
  services: Services,
  shop: Shop,
  actor: Actor,
  passing: number[] = [],
): Promise<UndoOutcome> {
  return takeBack(services, shop, actor, async (db) => {
    const latest = await latestStandingAct(db, shop.id, actor, passing)
    if (!latest?.batch) return latest ? [latest] : []
    const batch = await standingOfBatch(db, shop.id, latest.batch)
    return batch.filter(({ id }) => !passing.includes(id))
  })
}

/** Reverts an act of anyone, unless a later act changed the same part. */
export async function undoFromLog(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  number: number,
): Promise<UndoOutcome> {
  return takeBack(services, shop, actor, async (db) => {
    const review = await findReview(db, shop.id, { publicId })
    const decision = review && (await standingAct(db, shop.id, review.id, number))
    return decision ? [decision] : []
  })
}

const AT_A_TIME = 50

async function takeBack(
  services: Services,
  shop: Shop,
  actor: Actor,
  which: (db: Knex) => Promise<Decision[]>,
): Promise<UndoOutcome> {
  const decisions = await which(services.db)
  const batch = decisions.length > 1 ? services.newId() : null
  let outcome: UndoOutcome = { outcome: 'nothing' }
  let count = 0
  for (let start = 0; start < decisions.length; start += AT_A_TIME) {
    const now = services.now().toISOString()
    const outcomes = await writing(services.db, async (trx) => {
      const each: UndoOutcome[] = []
      for (const decision of decisions.slice(start, start + AT_A_TIME))
        each.push(await takeBackOne({ trx, shop, actor, now, batch }, decision))
      return each
    })
    for (const one of outcomes) {
      if (one.outcome === 'done') outcome = { ...one, count: ++count }
      else if (outcome.outcome !== 'done') outcome = one
    }
  }
  if (outcome.outcome === 'done') services.changes.announce(shop.id, 'reviews')
  services.wakeJobs()
  return outcome
}

async function takeBackOne(acting: Acting, decision: Decision): Promise<UndoOutcome> {
  const { trx, shop } = acting
  const review = await findReview(trx, shop.id, { id: decision.reviewId! })
  if (!review || (await isUndone(trx, decision.id))) return { outcome: 'nothing' }
  const { before, after } = readDecisionStates(decision)
  // A confirmed version belongs to the customer.
  if (review.confirmedAt !== null && changedParts(before, after).includes('versionId'))
    return { outcome: 'confirmed', review, decisionId: decision.id }
  if (await isOvertaken(trx, decision)) return { outcome: 'overtaken', review, decisionId: decision.id }
  const present = await readDecisionState(trx, shop.id, review.id)
  const restored = revertChange({ before, after }, present)
  // An intake that was undone is put back as a whole.
  const { state } = restored
  if (state === 'undone') return { outcome: 'nothing' }
  await moveReview(acting, review, present, restored, 'undo', decision.id)
  return { outcome: 'done', review, state, count: 1 }
}

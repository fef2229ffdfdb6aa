import type { Actor } from '../../core/moderation/actor'
import type { ReviewAct } from '../../core/moderation/reviewAct'
import type { ReviewState } from '../../core/moderation/rules'
import { findReview, type FullReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { actOnReview, type Acting } from './actOnReview'

type DecideOutcome =
  | { outcome: 'done'; review: FullReview }
  | { outcome: 'conflict' | 'alreadyThere'; authorName: string; state: ReviewState }
  | { outcome: 'gone' }

/** @param revision as the member saw it; if the review has changed since, nothing happens */
export async function decide(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  act: ReviewAct,
  revision: number,
): Promise<DecideOutcome> {
  const outcome = await writing(services.db, (trx) =>
    decideOne({ trx, shop, actor, now: services.now().toISOString(), batch: null }, publicId, act, revision),
  )
  if (outcome.outcome === 'done') services.changes.announce(shop.id, 'reviews')
  services.wakeJobs()
  return outcome
}

async function decideOne(
  acting: Acting,
  publicId: string,
  act: ReviewAct,
  revision: number,
): Promise<DecideOutcome> {
  const review = await findReview(acting.trx, acting.shop.id, { publicId })
  if (!review) return { outcome: 'gone' }
  const current = { authorName: review.authorName, state: review.state }
  if (review.revision !== revision) return { outcome: 'conflict', ...current }
  return (await actOnReview(acting, review, act))
    ? { outcome: 'done', review }
    : { outcome: 'alreadyThere', ...current }
}

interface ManyOutcome {
  done: number
  /** Reviews that someone else changed in the meantime; they stay as they are. */
  conflicts: number
  alreadyThere: number
}

const AT_A_TIME = 50

/** Acts on many reviews in short transactions. One undo reverts all of them. */
export async function decideMany(
  services: Services,
  shop: Shop,
  actor: Actor,
  chosen: { publicId: string; revision: number }[],
  act: ReviewAct,
): Promise<ManyOutcome> {
  const batch = services.newId()
  const outcome: ManyOutcome = { done: 0, conflicts: 0, alreadyThere: 0 }
  for (let start = 0; start < chosen.length; start += AT_A_TIME) {
    const outcomes = await writing(services.db, async (trx) => {
      const acting = { trx, shop, actor, now: services.now().toISOString(), batch }
      const each: DecideOutcome[] = []
      for (const { publicId, revision } of chosen.slice(start, start + AT_A_TIME))
        each.push(await decideOne(acting, publicId, act, revision))
      return each
    })
    for (const { outcome: one } of outcomes) {
      if (one === 'done') outcome.done++
      else if (one === 'conflict') outcome.conflicts++
      else if (one === 'alreadyThere') outcome.alreadyThere++
    }
    // Lets other requests run between two transactions.
    await new Promise((resolve) => setImmediate(resolve))
  }
  if (outcome.done > 0) services.changes.announce(shop.id, 'reviews')
  services.wakeJobs()
  return outcome
}

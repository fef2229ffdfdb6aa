import type { Actor } from '../../core/moderation/actor'
import type { ReviewState } from '../../core/moderation/rules'
import { countBatch, latestActOf, latestStandingAct, readDecisionStates } from '../data/decisions'
import type { Shop } from '../data/shops'
import type { Services } from '../services'

/** Later it would be said beside reviews that it is not about. */
const RECENT_MS = 120_000

/** What the member did last on this shop's reviews in the last two minutes, an undo included, and on how many at once. */
export async function latestOwnAct(
  { db, now }: Services,
  shop: Shop,
  actor: Actor,
): Promise<{ number: number; act: string; authorName: string; state: ReviewState; count: number } | null> {
  const since = new Date(now().getTime() - RECENT_MS).toISOString()
  const row = await latestActOf(db, shop.id, actor, since)
  if (!row) return null
  const { number, act, authorName, batch } = row
  const { state = 'waiting' } = readDecisionStates({ before: '{}', after: row.after }).after
  if (state === 'undone') return null
  return { number, act, authorName, state, count: batch === null ? 1 : await countBatch(db, shop.id, batch) }
}

/** Whether the member has a decision that undo can revert. */
export async function canUndo({ db }: Services, shop: Shop, actor: Actor): Promise<boolean> {
  return (await latestStandingAct(db, shop.id, actor, [])) !== undefined
}

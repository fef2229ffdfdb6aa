import type { ReviewState } from '../../core/moderation/rules'
import { latestActOfMember, reviewPointSchema } from '../data/decisions'
import type { Member } from '../data/members'
import type { Shop } from '../data/shops'
import type { Services } from '../services'

const RECENT_MS = 3_600_000

/** What the member did last on a review of this shop within the hour, an undo included. */
export async function latestOwnAct(
  { db, now }: Services,
  shop: Shop,
  member: Member,
): Promise<{ number: number; act: string; authorName: string; state: ReviewState } | null> {
  const since = new Date(now().getTime() - RECENT_MS).toISOString()
  const row = await latestActOfMember(db, shop.id, member.id, since)
  if (!row) return null
  const { after, ...act } = row
  return { ...act, state: reviewPointSchema.parse(JSON.parse(after)).state }
}

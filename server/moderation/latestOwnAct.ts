import type { ReviewState } from '../../core/moderation/rules'
import type { Member } from '../data/members'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { reviewPointSchema } from '../data/decisions'

const RECENT_MS = 3_600_000

/** What the member did last on a review of this shop within the hour, an undo included. */
export async function latestOwnAct(
  { db, now }: Services,
  shop: Shop,
  member: Member,
): Promise<{ number: number; act: string; authorName: string; state: ReviewState } | null> {
  const row: { number: number; act: string; after: string; authorName: string } | undefined = await db(
    'decision',
  )
    .join('review', 'review.id', 'decision.review_id')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .where({ 'decision.shop_id': shop.id, 'decision.member_id': member.id })
    .where('decision.at', '>=', new Date(now().getTime() - RECENT_MS).toISOString())
    .orderBy('decision.id', 'desc')
    .first({
      number: 'decision.number',
      act: 'decision.act',
      after: 'decision.after',
      authorName: 'review_version.author_name',
    })
  if (!row) return null
  const { after, ...act } = row
  return { ...act, state: reviewPointSchema.parse(JSON.parse(after)).state }
}

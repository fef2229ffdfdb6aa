import type { Knex } from 'knex'
import type { Verdict } from '../../core/moderation/wording/model'

/** A review that people of the shop have judged, by its id and version. */
export interface LessonKey {
  reviewId: number
  versionId: number
  verdict: Verdict
}

/** Reviews of a list that are looked through for lessons, the latest first. */
const LOOKED_THROUGH = 1000
/** Lessons of one list. */
const MAX_LESSONS = 200
/** One sender, or one group of copies, teaches no more than this. */
const MAX_OF_ONE = 3

/**
 * The latest reviews that people have marked as spam though nothing else had, and those that they have approved
 * though they were waiting or held back; oldest first. Declining says nothing about spam.
 */
export async function lessonsOf(db: Knex, shopId: number): Promise<LessonKey[]> {
  const lists = [
    { state: 'spam', verdict: 'spam', other: ['waiting', 'held', 'approved'] },
    { state: 'approved', verdict: 'honest', other: ['waiting', 'held', 'spam'] },
  ] as const
  const lessons: LessonKey[] = []
  for (const { state, verdict, other } of lists) {
    const rows: { id: number; versionId: number; arrival: string; by: string }[] = await db('review')
      .where({ shop_id: shopId, state })
      .orderBy('id', 'desc')
      .limit(LOOKED_THROUGH)
      .select({
        id: 'id',
        versionId: 'current_version_id',
        arrival: 'arrival_state',
        by: db.raw(
          "CASE WHEN group_id IS NOT NULL THEN 'g' || group_id ELSE 'c' || ifnull(customer_id, 'r' || id) END",
        ),
      })
    const times = new Map<string, number>()
    const taken = rows.filter(({ arrival, by }) => {
      if (!(other as readonly string[]).includes(arrival)) return false
      const before = times.get(by) ?? 0
      times.set(by, before + 1)
      return before < MAX_OF_ONE
    })
    lessons.push(
      ...taken.slice(0, MAX_LESSONS).map(({ id, versionId }) => ({ reviewId: id, versionId, verdict })),
    )
  }
  return lessons.toSorted((a, b) => a.reviewId - b.reviewId)
}

/** The words of some versions, by their ids. */
export async function wordsOfVersions(
  db: Knex,
  versionIds: number[],
): Promise<Map<number, { title: string; body: string }>> {
  const rows: { id: number; title: string; body: string }[] = await db('review_version')
    .whereIn('id', versionIds)
    .select('id', 'title', 'body')
  return new Map(rows.map((row) => [row.id, row]))
}

import type { Knex } from 'knex'
import { z } from 'zod'
import { sourcePolicies, sources } from '../../core/intake/sourcePolicy'
import type { Verdict } from '../../core/moderation/wording/model'
import { tables } from './schema/tables'
import { newRow } from './rows'
import { pick, readAll, value, type Selected } from './select'

/** A review that people of the shop have judged, by its id and version. */
interface LessonKey {
  reviewId: number
  versionId: number
  verdict: Verdict
  /** Reviews of one customer, or one group of copies, have the same. */
  sender: string
}

const silentSources = sources.filter((source) => !sourcePolicies[source].teaches)

/** Reviews of a list that are looked through for lessons, the latest first. */
const LOOKED_THROUGH = 1000
/** Lessons of one list. */
const MAX_LESSONS = 200
/** One sender, or one group of copies, teaches no more than this. */
const MAX_OF_ONE = 3

/**
 * The latest reviews that people have marked as spam though nothing else had, and those that they have approved
 * though they were waiting or held back; oldest first. Declining says nothing about spam, and what was taken away
 * counts no more.
 */
export async function lessonsOf(db: Knex, shopId: number): Promise<LessonKey[]> {
  const lists = [
    { state: 'spam', verdict: 'spam', other: ['waiting', 'held', 'approved'] },
    { state: 'approved', verdict: 'honest', other: ['waiting', 'held', 'spam'] },
  ] as const
  const lessons: LessonKey[] = []
  for (const { state, verdict, other } of lists) {
    const rows = await readAll(
      db('review')
        .where({ shop_id: shopId, state })
        .whereRaw(`+source NOT IN (${silentSources.map(() => '?').join(', ')})`, silentSources)
        .whereNotExists(db('untaught').whereRaw('untaught.review_id = review.id'))
        .orderBy('id', 'desc')
        .limit(LOOKED_THROUGH),
      {
        id: tables.review.id,
        versionId: tables.review.currentVersionId,
        arrival: tables.review.arrivalState,
        by: value(
          z.string(),
          db.raw(
            "CASE WHEN group_id IS NOT NULL THEN 'g' || group_id ELSE 'c' || ifnull(customer_id, 'r' || id) END",
          ),
        ),
      },
    )
    const times = new Map<string, number>()
    const taken = rows.filter(({ arrival, by }) => {
      if (!other.some((state) => state === arrival)) return false
      const before = times.get(by) ?? 0
      times.set(by, before + 1)
      return before < MAX_OF_ONE
    })
    lessons.push(
      ...taken
        .slice(0, MAX_LESSONS)
        .map(({ id, versionId, by }) => ({ reviewId: id, versionId, verdict, sender: by })),
    )
  }
  return lessons.toSorted((a, b) => a.reviewId - b.reviewId)
}

/** The words of some versions, by their ids. */
export async function wordsOfVersions(
  db: Knex,
  versionIds: number[],
): Promise<Map<number, { title: string; body: string }>> {
  const rows = await readAll(
    db('review_version').whereIn('id', versionIds),
    pick(tables.reviewVersion, 'id', 'title', 'body'),
  )
  return new Map(rows.map(({ id, ...words }) => [id, words]))
}

/** A lesson as people read it. */
export type LessonLine = Selected<typeof lessonLine>
const lessonLine = {
  ...pick(tables.review, 'publicId', 'state', 'receivedAt'),
  ...pick(tables.reviewVersion, 'authorName', 'title', 'body'),
}

/** Reviews as lines, by their ids. */
export async function lessonLines(db: Knex, reviewIds: number[]): Promise<Map<number, LessonLine>> {
  const rows = await readAll(
    db('review')
      .join('review_version', 'review_version.id', 'review.current_version_id')
      .whereIn('review.id', reviewIds),
    { id: tables.review.id, ...lessonLine },
  )
  return new Map(rows.map(({ id, ...line }) => [id, line]))
}

/** The latest reviews that were taken away from the lessons. */
export const untaughtReviews = (db: Knex, shopId: number, limit: number): Promise<number[]> =>
  db('untaught').where({ shop_id: shopId }).orderBy('at', 'desc').limit(limit).pluck('review_id')

export async function takeLessonsAway(
  trx: Knex,
  shopId: number,
  reviewIds: number[],
  at: string,
): Promise<void> {
  if (reviewIds.length === 0) return
  const rows = reviewIds.map((reviewId) => newRow(tables.untaught, { reviewId, shopId, at }))
  await trx('untaught').insert(rows).onConflict('review_id').ignore()
}

/** @param reviewIds all of the shop if it is null */
export async function giveLessonsBack(trx: Knex, shopId: number, reviewIds: number[] | null): Promise<void> {
  const rows = trx('untaught').where({ shop_id: shopId })
  await (reviewIds === null ? rows : rows.whereIn('review_id', reviewIds)).delete()
}

import { readWords } from '../../core/moderation/reading'
import { likenessTo } from '../../core/moderation/wording/likeness'
import type { Verdict } from '../../core/moderation/wording/model'
import {
  giveLessonsBack,
  lessonLines,
  lessonsOf,
  takeLessonsAway,
  untaughtReviews,
  wordsOfVersions,
  type LessonLine,
} from '../data/lessons'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'

const MAX_UNTAUGHT_SHOWN = 200
const MAX_TAUGHT_SHOWN = 100
const MAX_TOLD = 3
/** Texts with less in common taught something else. */
const MIN_LIKENESS = 0.15

interface LessonShown extends LessonLine {
  verdict: Verdict
  /** How many lessons come from the same person or group of copies. */
  ofSender: number
}

/** What a shop's decisions have taught, the latest first, and what was taken away. */
export async function lessonsView(
  { db }: Services,
  shop: Shop,
): Promise<{ taught: LessonShown[]; count: number; untaught: LessonLine[] }> {
  const all = (await lessonsOf(db, shop.id)).reverse()
  const lessons = all.slice(0, MAX_TAUGHT_SHOWN)
  const away = await untaughtReviews(db, shop.id, MAX_UNTAUGHT_SHOWN)
  const lines = await lessonLines(db, [...lessons.map(({ reviewId }) => reviewId), ...away])
  const ofSender = new Map<string, number>()
  for (const { sender } of all) ofSender.set(sender, (ofSender.get(sender) ?? 0) + 1)
  return {
    taught: lessons.map(({ reviewId, verdict, sender }) => ({
      ...lines.get(reviewId)!,
      verdict,
      ofSender: ofSender.get(sender)!,
    })),
    count: all.length,
    untaught: away.map((id) => lines.get(id)!),
  }
}

/** The reviews marked as spam that a review is most like, the likest first. */
export async function taughtBy(
  { db }: Services,
  shop: Shop,
  review: { id: number; title: string; body: string },
): Promise<LessonLine[]> {
  const lessons = (await lessonsOf(db, shop.id)).filter(
    ({ verdict, reviewId }) => verdict === 'spam' && reviewId !== review.id,
  )
  const words = await wordsOfVersions(
    db,
    lessons.map(({ versionId }) => versionId),
  )
  const texts = lessons.map(({ versionId }) => readWords(words.get(versionId)!).words)
  const likeness = likenessTo(readWords(review).words, texts)
  const likest = lessons
    .map(({ reviewId }, i) => ({ reviewId, likeness: likeness[i]! }))
    .filter((lesson) => lesson.likeness >= MIN_LIKENESS)
    .toSorted((a, b) => b.likeness - a.likeness)
    .slice(0, MAX_TOLD)
  const lines = await lessonLines(
    db,
    likest.map(({ reviewId }) => reviewId),
  )
  return likest.map(({ reviewId }) => lines.get(reviewId)!)
}

/** Which lessons are meant: that of one review, all of its sender, or all. */
type LessonScope = { review: string; whose: 'one' | 'sender' } | 'all'

/** Takes lessons away; the decisions stay as they are. The next review is judged without them. */
export async function unteach({ db, now }: Services, shop: Shop, scope: LessonScope): Promise<void> {
  await writing(db, async (trx) => {
    const lessons = await lessonsOf(trx, shop.id)
    const ids = (some: typeof lessons) => some.map(({ reviewId }) => reviewId)
    const meant = async () => {
      if (scope === 'all') return ids(lessons)
      const review = await findReview(trx, shop.id, { publicId: scope.review })
      if (!review) return []
      const own = lessons.find(({ reviewId }) => reviewId === review.id)
      if (scope.whose === 'one' || !own) return [review.id]
      return ids(lessons.filter(({ sender }) => sender === own.sender))
    }
    await takeLessonsAway(trx, shop.id, await meant(), now().toISOString())
  })
}

/** Gives lessons back, that of one review or all. */
export async function teachAgain(
  { db }: Services,
  shop: Shop,
  scope: { review: string } | 'all',
): Promise<void> {
  await writing(db, async (trx) => {
    if (scope === 'all') return giveLessonsBack(trx, shop.id, null)
    const review = await findReview(trx, shop.id, { publicId: scope.review })
    if (review) await giveLessonsBack(trx, shop.id, [review.id])
  })
}

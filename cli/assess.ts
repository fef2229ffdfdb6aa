import { z } from 'zod'
import { hundredthsOfFive } from '../core/formats/rating'
import { translateCode, translateCodes } from '../core/messages/code'
import { say } from '../core/messages/say/everything'
import { ShopHistory } from '../core/moderation/memory/shopHistory'
import { readWords } from '../core/moderation/reading'
import { arrivalState, type ArrivalState } from '../core/moderation/rules'
import { trustedSubmission } from '../core/moderation/submissionChecks'
import { spamScore } from '../core/moderation/spamScore'
import { weigh } from '../core/moderation/weigh'
import { startingModel } from '../core/moderation/wording/starting'
import { taughtBy } from '../core/moderation/wording/train'
import type { WordingModel } from '../core/moderation/wording/model'
import { readJsonLines } from './jsonLines'

const text = z
  .union([z.string(), z.number()])
  .nullish()
  .transform((value) => String(value ?? ''))
const number = z
  .union([
    z.number(),
    z
      .string()
      .regex(/^\s*\d+(?:[.,]\d+)?\s*$/)
      .transform((typed) => Number(typed.replace(',', '.'))),
  ])
  .nullish()
  .transform((value) => value ?? null)

/** A review under the public field names; only the text is required. */
const reviewSchema = z.object({
  id: z.union([z.string(), z.number()]).nullish(),
  shop: text,
  rating: number,
  title: text,
  body: text,
  author_name: text,
  author_email: text,
  ip: text,
  received_at: text,
  product: text,
  fill_seconds: number,
  verified: z.boolean().nullish(),
})
type Review = z.infer<typeof reviewSchema>
const lessonSchema = reviewSchema.extend({ decision: z.enum(['approved', 'spam']) })

export interface Assessed {
  id: string | number
  state: ArrivalState
  score: number
  reasons: {
    signal: string
    points: number
    detail: string
    at: [field: string, start: number, end: number][]
  }[]
  near: (string | number)[]
}

/** Scores the reviews of a file one by one, each against earlier ones; none is revised. */
export function assessFile(file: string, ownDomains: string[], teach: string | undefined): Assessed[] {
  const lessons = teach === undefined ? [] : readJsonLines(teach, lessonSchema)
  const shops = new Map<string, { memory: ShopHistory; model: WordingModel }>()
  const shopOf = (name: string) => {
    const known = shops.get(name)
    if (known) return known
    const own = lessons.filter(({ shop }) => shop === '' || shop === name)
    const shared = startingModel()
    const taught = own.map((lesson) => ({
      words: readWords(lesson).words,
      verdict: lesson.decision === 'spam' ? ('spam' as const) : ('honest' as const),
    }))
    const model = own.length === 0 ? shared : shared.withTaught(taughtBy(shared, taught))
    const made = { memory: new ShopHistory(), model }
    shops.set(name, made)
    return made
  }
  const reviews = readJsonLines(file, reviewSchema)
  const ids = reviews.map(({ id }, i) => id ?? i + 1)
  return reviews.map((review, i) => {
    const { memory, model } = shopOf(review.shop)
    const { arrival, history } = memory.compareAndRemember(arriving(review, String(i)))
    const signals = weigh({
      arrival,
      history,
      model,
      ownDomains,
      knownOrderKeys: [],
      ...trustedSubmission,
    })
    const score = spamScore(signals)
    return {
      id: ids[i]!,
      state: arrivalState({
        score,
        kinds: signals.map(({ kind }) => kind),
        rating: arrival.rating,
        source: 'form',
        language: null,
        product: review.product,
        verified: review.verified ?? false,
      }),
      score,
      reasons: signals.map(({ kind, points, headline, detail, places }) => ({
        signal: kind,
        points,
        detail: [translateCode(say, headline), translateCodes(say, detail)].filter(Boolean).join(': '),
        at: places.map(({ field, start, end }) => [field, start, end]),
      })),
      near: history.near.map(({ id }) => ids[Number(id)]!),
    }
  })
}

function arriving(review: Review, id: string) {
  const { rating } = review
  return {
    id,
    title: review.title,
    body: review.body,
    // A rating without a scale of five is ignored.
    rating: rating === null || rating > 5 ? null : hundredthsOfFive(rating, 5),
    authorName: review.author_name,
    authorEmail: review.author_email,
    ip: review.ip,
    receivedAt: review.received_at || null,
    product: review.product,
    fillSeconds: review.fill_seconds,
    verified: review.verified ?? null,
  }
}

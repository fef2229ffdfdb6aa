import { group } from 'd3-array'
import type { Balanceable } from '../../core/curation/balance'
import { themesOf } from '../../core/curation/themes'
import type { ShowableReview } from '../../core/display/showableReview'
import { normalizeText } from '../../core/formats/normalizeText'
import { commonWords } from '../../core/moderation/memory/commonWords'
import { hashText } from '../../core/moderation/plainWord'
import type { CountRow } from '../data/publishable'

/** A balanced order chooses from about this many, however many there are. */
export const MOST_POOLED = 300
const MOST_POOLED_FACETS = 60

/**
 * The facets to choose from, and how many of the newest with each: all of few reviews; of many, the commonest facets of
 * each rating by turns, so that no rating is missing.
 */
export function poolOf(matching: CountRow[]): { facets: CountRow['row'][]; ofEach: number } {
  const total = matching.reduce((sum, { count }) => sum + count, 0)
  if (total <= MOST_POOLED) return { facets: matching.map(({ row }) => row), ofEach: MOST_POOLED }
  const commonest = matching.toSorted((a, b) => b.count - a.count)
  const turns = [...group(commonest, ({ row }) => row.rating).values()]
  const facets: CountRow['row'][] = []
  for (let i = 0; facets.length < MOST_POOLED_FACETS && i < matching.length; i++)
    for (const rows of turns) {
      const one = rows[i]
      if (one) facets.push(one.row)
    }
  const chosen = facets.slice(0, MOST_POOLED_FACETS)
  return { facets: chosen, ofEach: Math.ceil(MOST_POOLED / chosen.length) }
}

const wordCount = (text: string) => text.split(/\s+/).filter(Boolean).length

/** What a balanced order looks at. Words of product names are no themes, since products count by themselves. */
export function balanceable(reviews: ShowableReview[]): Balanceable[] {
  const common = commonWords()
  const named = new Set(
    reviews.flatMap(({ productTitle }) => normalizeText(productTitle ?? '').match(/\p{L}+/gu) ?? []),
  )
  const themes = themesOf(
    reviews.map(({ title, body }) => `${title} ${body}`),
    (word) => named.has(word) || common.has(hashText(word)),
  )
  return reviews.map((review, i) => ({
    ...review,
    length: wordCount(`${review.title} ${review.body}`),
    hasPhoto: review.photos.length > 0,
    themes: themes.of[i]!.map((theme) => themes.names[theme]!),
  }))
}

import { asksForRatings } from '../../curation/selection'
import { say } from '../say/show'

const formats = {
  and: new Intl.ListFormat('en-GB', { type: 'conjunction' }),
  or: new Intl.ListFormat('en-GB', { type: 'disjunction' }),
}

/** "a", "a and b", "a, b and c", in English. */
export const listed = (words: string[], how: 'and' | 'or' = 'and'): string => formats[how].format(words)

/** Ratings in a sentence: "any rating", "4 and up", "5 only", "2 or 3". */
export function ratingText(ratings: number[]): string {
  if (!asksForRatings(ratings)) return say('display.rating.any')
  if (ratings.length === 1) return say('display.rating.only', { mark: ratings[0]! })
  const lowest = ratings[0]!
  return ratings.length === 6 - lowest
    ? say('display.rating.from', { lowest })
    : say('display.rating.some', { marks: listed(ratings.map(String), 'or') })
}

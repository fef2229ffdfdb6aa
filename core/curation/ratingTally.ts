import { litMarks } from '../formats/rating'

/** `average` is in hundredths of five stars, null if there is none; `byMark` counts 1 to 5. */
export interface RatingTally {
  count: number
  average: number | null
  byMark: [number, number, number, number, number]
}

/** Ratings are in hundredths of five stars; reviews without a rating are left out. */
export function tallyOf(ratings: { rating: number | null; times?: number }[]): RatingTally {
  const byMark: RatingTally['byMark'] = [0, 0, 0, 0, 0]
  let count = 0
  let sum = 0
  for (const { rating, times = 1 } of ratings) {
    if (rating === null) continue
    byMark[litMarks(rating) - 1]! += times
    count += times
    sum += rating * times
  }
  return { count, average: count === 0 ? null : sum / count, byMark }
}

/** Ratings of 3 or lower. */
export function lowOnes({ byMark }: RatingTally): number {
  return byMark[0] + byMark[1] + byMark[2]
}

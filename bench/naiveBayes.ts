import { withFeatures } from '../core/moderation/wording/features'
import type { Lesson } from '../core/moderation/wording/train'

/** Counted for a feature that was never seen. */
const SMOOTHING = 0.1

/**
 * Multinomial naive Bayes on the features of the text model (Manning, Raghavan and Schütze, "Introduction to
 * Information Retrieval", 2008, chapter 13), to compare with.
 */
export function naiveBayes(lessons: Lesson[]) {
  const sums = { spam: new Map<number, number>(), honest: new Map<number, number>() }
  const totals = { spam: 0, honest: 0 }
  for (const { words, verdict } of lessons)
    withFeatures(words, (keys, values) => {
      for (let i = 0; i < keys.length; i++) {
        sums[verdict].set(keys[i]!, (sums[verdict].get(keys[i]!) ?? 0) + values[i]!)
        totals[verdict] += values[i]!
      }
    })
  const features = new Set([...sums.spam.keys(), ...sums.honest.keys()]).size
  const share = (verdict: 'spam' | 'honest', key: number) =>
    ((sums[verdict].get(key) ?? 0) + SMOOTHING) / (totals[verdict] + SMOOTHING * features)
  return {
    logOdds: (words: Lesson['words']) =>
      withFeatures(words, (keys, values, scale) => {
        let sum = 0
        for (let i = 0; i < keys.length; i++)
          sum += values[i]! * scale * Math.log(share('spam', keys[i]!) / share('honest', keys[i]!))
        return sum
      }),
  }
}

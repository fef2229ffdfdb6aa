import type { ReadWord } from '../reading'
import { withFeatures } from './features'

/**
 * How much texts have in common with one, as the model sees it: the cosine of the angle between their features, 0 to 1.
 */
export function likenessTo(words: ReadWord[], others: ReadWord[][]): number[] {
  const own = withFeatures(
    words,
    (keys, values, scale) => new Map(Array.from(keys, (key, i) => [key, values[i]! * scale])),
  )
  return others.map((other) =>
    withFeatures(other, (keys, values, scale) => {
      let sum = 0
      for (let i = 0; i < keys.length; i++) sum += (own.get(keys[i]!) ?? 0) * values[i]!
      return sum * scale
    }),
  )
}

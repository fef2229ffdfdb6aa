import { randomFrom } from '../../core/moderation/wording/train'

/** Random draws that are the same for the same seed. */
export interface Chance {
  /** From 0 up to 1. */
  next: () => number
  below: (limit: number) => number
  pick: <T>(some: readonly T[]) => T
  isTrue: (share: number) => boolean
  poisson: (mean: number) => number
  /** Mean 1; the smaller the shape, the more uneven. */
  gamma: (shape: number) => number
}

export function chanceFrom(seed: number): Chance {
  // Neighbouring seeds of a linear generator start alike.
  const next = randomFrom(Math.imul(seed + 1, 0x9e3779b1))
  for (let i = 0; i < 10; i++) next()
  const below = (limit: number) => Math.floor(next() * limit)
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next())
  return {
    next,
    below,
    pick: (some) => some[below(some.length)]!,
    isTrue: (share) => next() < share,
    poisson: (mean) => {
      if (mean > 60) return Math.max(0, Math.round(mean + Math.sqrt(mean) * normal()))
      let count = 0
      for (let product = next(); product > Math.exp(-mean); product *= next()) count++
      return count
    },
    // The sum of exponential draws (Erlang), which a whole shape allows.
    gamma: (shape) => {
      let sum = 0
      for (let i = 0; i < shape; i++) sum -= Math.log(1 - next())
      return sum / shape
    },
  }
}

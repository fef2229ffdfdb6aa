import type { Signal } from './signal'

/** The spam score: the sum of the points, limited to 0 to 100. */
export function spamScore(signals: Pick<Signal, 'points'>[]): number {
  return Math.min(
    100,
    Math.max(
      0,
      signals.reduce((sum, signal) => sum + signal.points, 0),
    ),
  )
}

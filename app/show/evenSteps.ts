/** Percent. */
const NORMAL = 100

/**
 * Values between two percentages of which each is larger than the one before by about the same factor: the step at
 * half of the normal size and above doubles with the size.
 */
export function evenSteps(min: number, max: number, step: number): number[] {
  const values: number[] = []
  for (let value = min; value < max; value += step * 2 ** (1 + Math.floor(Math.log2(value / NORMAL))))
    values.push(value)
  return [...values, max]
}

/** The index of the step closest to a value. */
export const nearestStep = (steps: number[], value: number): number =>
  steps.reduce((best, one, i) => (Math.abs(one - value) < Math.abs(steps[best]! - value) ? i : best), 0)

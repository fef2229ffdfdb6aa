import { expect } from 'vitest'

const TRIES = 8
/** Four times the input may take this much longer, which leaves room for a busy machine; a square would take 16 times. */
const MAX_RATIO = 9
/** Below this nothing can be told from the noise. */
const NOISE_MS = 60

/** What a computation costs on a text of a length and on one four times as long: it has to grow with the text alone. */
export function expectLinear(
  read: (text: string) => unknown,
  hostile: (length: number) => string,
  length: number,
): void {
  const [short, long] = [hostile(length), hostile(4 * length)]
  let ratio = Infinity
  for (let i = 0; i < TRIES && ratio > MAX_RATIO; i++)
    ratio = Math.min(ratio, cpuMs(read, long) / Math.max(NOISE_MS / MAX_RATIO, cpuMs(read, short)))
  expect(ratio).toBeLessThan(MAX_RATIO)
}

function cpuMs(read: (text: string) => unknown, text: string): number {
  const before = process.cpuUsage()
  read(text)
  const { user, system } = process.cpuUsage(before)
  return (user + system) / 1000
}

/** The fewest milliseconds of the processor that a computation took in some tries, because other tests run beside it. */
export function leastMs(compute: () => unknown, tries = 5): number {
  return Math.min(...Array.from({ length: tries }, () => cpuMs(compute, '')))
}

/** A text of one part, again and again. */
export const repeated =
  (part: string) =>
  (length: number): string =>
    part.repeat(Math.ceil(length / part.length))

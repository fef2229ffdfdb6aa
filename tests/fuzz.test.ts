import { afterAll, beforeAll, expect, test } from 'vitest'
import { fuzzListener } from './fuzz/fuzzListener'
import { fuzzReader } from './fuzz/readers'
import { seededRandom } from './fuzz/random'
import { startSmall, type Running } from './support/application'

/** The same inputs each time; `npm run fuzz` looks elsewhere each time it is run. */
const seed = 20_261_128

let running: Running
beforeAll(async () => {
  running = await startSmall({ ELOGIO_THROTTLE: 'off', LOG_LEVEL: 'silent' })
})
afterAll(() => running.stop())

test(`600 fuzzed requests are each answered or closed, and none with an error of ours`, async () => {
  const { failures, faults, statuses } = await fuzzListener(running, seededRandom(seed), 600)
  expect(failures).toEqual([])
  expect(faults).toBe(0)
  // They reach what is behind the request layer, too.
  for (const status of [200, 400, 404]) expect(statuses[status]).toBeGreaterThan(10)
})

test(`400 fuzzed texts are each read without an error and without holding anything up`, () => {
  const random = seededRandom(seed)
  const failures = Array.from({ length: 400 }, () => fuzzReader(random, 500)).filter((one) => one !== null)
  expect(failures).toEqual([])
})

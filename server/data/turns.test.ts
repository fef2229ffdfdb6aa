import { expect, test } from 'vitest'
import { TRIED_AGAIN } from '../../tests/support/longestWait'
import { Turns } from './turns'

function giveWayMs(turns: Turns): number {
  const started = performance.now()
  turns.giveWay()
  return performance.now() - started
}

test('long work waits while a request waits for the database, though not for ever', TRIED_AGAIN, () => {
  const turns = new Turns()
  const inThread = new Turns(turns.shared)
  expect(giveWayMs(inThread)).toBeLessThan(50)
  const first = turns.begin()
  const second = turns.begin()
  first()
  expect(giveWayMs(inThread)).toBeGreaterThan(150)
  second()
  expect(giveWayMs(inThread)).toBeLessThan(50)
})

import { EventEmitter } from 'node:events'
import type { ServerResponse } from 'node:http'
import { expect, test } from 'vitest'
import { makeRoom } from './room'

const response = () => new EventEmitter() as unknown as ServerResponse

test('large requests have room together, up to a limit, and give it back when they are answered', () => {
  const [first, second, third] = [response(), response(), response()]
  expect([makeRoom(first, 60_000_000), makeRoom(second, 60_000_000)]).toEqual([true, true])
  expect(makeRoom(third, 60_000_000)).toBe(false)
  first.emit('close')
  expect(makeRoom(third, 60_000_000)).toBe(true)
  for (const one of [second, third]) one.emit('close')
  expect(makeRoom(response(), 160_000_000)).toBe(true)
})

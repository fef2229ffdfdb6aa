import { describe, expect, test } from 'vitest'
import { pick } from './selection'
import { configured, showable } from '../../tests/support/display'
import { leaveOut, movedTo, pullIn, swapIn, takeBackIn, unpin } from './byHand'

const reviews = [1, 2, 3, 4, 5, 6].map((id) => showable(id, 500))
const { selection } = configured({ selection: { limit: 4 } })
const ids = (of: typeof selection) => pick(reviews, of).map(({ publicId }) => publicId)

describe('by hand', () => {
  test('a review moved stands where it was put, and so do those pinned before', () => {
    const once = movedTo(selection, ids(selection), 'r3', 0)
    expect(ids(once)).toEqual(['r3', 'r6', 'r5', 'r4'])
    const twice = movedTo(once, ids(once), 'r4', 1)
    expect(ids(twice)).toEqual(['r3', 'r4', 'r6', 'r5'])
    expect(ids(unpin(twice, 'r3'))).toEqual(['r6', 'r4', 'r5', 'r3'])
  })
  test('in an order by hand the order itself changes, and nothing is pinned', () => {
    const hand = { ...selection, order: 'hand' as const, hand: ids(selection) }
    const moved = movedTo(hand, ids(hand), 'r6', 3)
    expect(ids(moved)).toEqual(['r5', 'r4', 'r3', 'r6'])
    expect(moved.pins).toEqual([])
  })
  test('one left out makes room for the next, and comes back where it belongs', () => {
    const without = leaveOut(movedTo(selection, ids(selection), 'r6', 0), 'r6')
    expect(ids(without)).toEqual(['r5', 'r4', 'r3', 'r2'])
    expect(ids(takeBackIn(without, 'r6'))).toEqual(['r6', 'r5', 'r4', 'r3'])
  })
  test('one pulled in stands last, also when it had been left out', () => {
    expect(ids(pullIn(selection, ids(selection), 'r1'))).toEqual(['r6', 'r5', 'r4', 'r1'])
    const out = leaveOut(selection, 'r2')
    expect(ids(pullIn(out, ids(out), 'r2'))).toEqual(['r6', 'r5', 'r4', 'r2'])
  })
})

test('reviews swapped in take the places of those that go, whatever the order', () => {
  const swaps = [
    { out: 'r6', in: 'r1' },
    { out: 'r4', in: 'r2' },
  ]
  const swapped = swapIn(selection, ids(selection), swaps)
  expect(ids(swapped)).toEqual(['r1', 'r5', 'r2', 'r3'])
  expect(swapped.leftOut).toEqual(['r6', 'r4'])
  const hand = { ...selection, order: 'hand' as const, hand: ids(selection) }
  expect(ids(swapIn(hand, ids(hand), swaps))).toEqual(['r1', 'r5', 'r2', 'r3'])
})

import { describe, expect, test } from 'vitest'
import { pick } from '../../core/curation/selection'
import { configured, showable } from '../../tests/support/display'
import { leaveOut, movedTo, pullIn, takeBackIn, unpin } from './byHand'
import { changedKeys } from './changedKeys'

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

test('two changes of one setting are alike, of two they are not', () => {
  const start = configured()
  const keys = (changed: Parameters<typeof configured>[0]) => changedKeys(start, configured(changed))
  expect(keys({ title: 'A' })).toBe(keys({ title: 'AB' }))
  expect(keys({ selection: { limit: 3 } })).toBe('selection.limit')
  expect(keys({ selection: { limit: 3 }, theme: { density: 120 } })).toBe('selection.limit,theme.density')
  expect(keys({ heading: { button: { words: 'Go', url: '' } } })).toBe('heading.button')
  expect(keys({})).toBe('')
})

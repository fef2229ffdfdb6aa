import fc from 'fast-check'
import { expect, test } from 'vitest'
import { likelyAct } from './likelyAct'
import { markedText } from './markedText'

test('cuts at every place and numbers it by its signal', () => {
  const places = [
    { field: 'body' as const, start: 4, end: 8, mark: 1 },
    { field: 'body' as const, start: 6, end: 10, mark: 2 },
    { field: 'title' as const, start: 0, end: 3, mark: 3 },
  ]
  expect(markedText('see abcdefgh', 'body', places)).toEqual([
    { text: 'see ', marks: [] },
    { text: 'ab', marks: [1] },
    { text: 'cd', marks: [1, 2] },
    { text: 'ef', marks: [2] },
    { text: 'gh', marks: [] },
  ])
})

test('never loses or doubles a character', () => {
  const place = fc.record({
    field: fc.constant('body' as const),
    start: fc.nat(40),
    end: fc.nat(40),
    mark: fc.integer({ min: 1, max: 4 }),
  })
  fc.assert(
    fc.property(
      fc.string({ minLength: 1, maxLength: 40 }),
      fc.array(place, { maxLength: 6 }),
      (text, places) => {
        expect(
          markedText(text, 'body', places)
            .map((run) => run.text)
            .join(''),
        ).toBe(text)
      },
    ),
  )
})

test.each([
  ['waiting', 0, [], true, 'approve'],
  ['waiting', 0, [], false, 'approve'],
  ['held', 89, ['link', 'contact'], false, null],
  ['held', 90, ['link', 'contact'], false, 'spam'],
  ['held', 0, ['personal'], true, null],
  ['held', 0, ['trap'], false, 'spam'],
  ['held', 0, ['notoken'], false, null],
  ['held', 0, ['notoken'], true, 'approve'],
  ['approved', 0, [], true, null],
] as const)('the likely act for %s, %i, %j, verified %s is %s', (state, score, kinds, verified, act) => {
  expect(likelyAct({ state, score, kinds: [...kinds], verified })).toBe(act)
})

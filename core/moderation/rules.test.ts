import { describe, expect, test } from 'vitest'
import {
  arrivalState,
  matchingRules,
  ruleSchema,
  startingRules,
  waitsForWriter,
  type Rule,
  type RuleFacts,
} from './rules'

const rule = (then: Rule['then'], ...when: Rule['when']): Rule => ({ id: then, when, then })
const plain: RuleFacts = {
  score: 0,
  kinds: [],
  rating: null,
  source: 'manualEntry',
  language: null,
  product: '',
  verified: true,
}

describe('a condition', () => {
  test.each<[string, Rule['when'][number], object, boolean]>([
    ['score from', { on: 'score', atLeast: 60 }, { score: 60 }, true],
    ['score below', { on: 'score', atLeast: 60 }, { score: 59 }, false],
    ['any of the signals', { on: 'signal', anyOf: ['link', 'trap'] }, { kinds: ['trap'] }, true],
    ['none of the signals', { on: 'signal', anyOf: ['link'] }, { kinds: ['trap'] }, false],
    ['rating at most', { on: 'rating', atMost: 200 }, { rating: 200 }, true],
    ['rating between', { on: 'rating', atLeast: 300, atMost: 400 }, { rating: 500 }, false],
    ['no rating', { on: 'rating', atMost: 500 }, { rating: null }, false],
    ['source', { on: 'source', anyOf: ['form'] }, { source: 'form' }, true],
    ['unknown language', { on: 'language', anyOf: ['de'] }, { language: null }, false],
    ['product', { on: 'product', anyOf: ['HK-2'] }, { product: 'HK-2' }, true],
    ['not verified', { on: 'verified', is: false }, { verified: false }, true],
  ])('%s', (_, condition, facts, expected) => {
    expect(matchingRules([rule('held', condition)], { ...plain, ...facts })).toHaveLength(expected ? 1 : 0)
  })
})

test('all conditions of a rule have to match, and the strictest outcome wins', () => {
  const happy = rule('approved', { on: 'rating', atLeast: 400 }, { on: 'verified', is: true })
  const rules = [...startingRules, happy]
  const facts = { ...plain, rating: 500, verified: true }
  expect(arrivalState(facts, 'waiting', rules)).toBe('approved')
  expect(arrivalState({ ...facts, verified: false }, 'waiting', rules)).toBe('waiting')
  expect(arrivalState({ ...facts, kinds: ['personal'] }, 'waiting', rules)).toBe('held')
  expect(arrivalState({ ...facts, kinds: ['personal'], score: 95 }, 'waiting', rules)).toBe('spam')
})

test('a review waits for its writer only if nothing else holds it', () => {
  expect(waitsForWriter({ ...plain, kinds: ['unconfirmed', 'media'] })).toBe(true)
  expect(waitsForWriter({ ...plain, kinds: ['unconfirmed', 'abuse'] })).toBe(false)
  const strict = rule('held', { on: 'rating', atMost: 200 })
  expect(waitsForWriter({ ...plain, kinds: ['unconfirmed'], rating: 100 }, [strict])).toBe(false)
})

test('the starting rules are records, and a rule without conditions is refused', () => {
  expect(startingRules.map((one) => ruleSchema.parse(JSON.parse(JSON.stringify(one))))).toEqual(startingRules)
  expect(ruleSchema.safeParse({ id: 'all', when: [], then: 'approved' }).success).toBe(false)
})

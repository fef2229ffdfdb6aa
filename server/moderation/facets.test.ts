import fc from 'fast-check'
import type { Source } from '../../core/intake/sourcePolicy'
import { expect, test } from 'vitest'
import { wholeLane, type LaneFilter } from '../data/laneFilter'
import type { CountedGroup } from '../data/reviewCounts'
import { countOf, facetsOf, rarestPart, type LaneGroups } from './facets'

const group = fc.record({
  rating: fc.constantFrom(0, 100, 500),
  productId: fc.constantFrom(0, 1, 2),
  source: fc.constantFrom<Source>('form', 'manualEntry'),
  language: fc.constantFrom('', 'de', 'en'),
  verified: fc.boolean(),
  hasText: fc.boolean(),
  needsReply: fc.boolean(),
  count: fc.integer({ min: 1, max: 9 }),
})
const filter: fc.Arbitrary<LaneFilter> = fc
  .record({
    rating: fc.constantFrom(null, 0, 100, 500),
    productId: fc.constantFrom(null, 0, 1),
    language: fc.constantFrom(null, '', 'de'),
    verified: fc.constantFrom(null, true, false),
    needsReply: fc.constantFrom(null, true),
  })
  .map((parts) => ({ ...wholeLane('approved'), ...parts }))

/** The counters as they are read for a filter. */
const read = (groups: CountedGroup[], { productId }: LaneFilter): LaneGroups => ({
  all: groups,
  ofProduct: productId === null ? groups : groups.filter((one) => one.productId === productId),
})

test('each choice of a part counts what choosing it would let through', () => {
  fc.assert(
    fc.property(fc.array(group, { maxLength: 12 }), filter, (groups: CountedGroup[], asked) => {
      const facets = facetsOf(read(groups, asked), groups, asked)
      const counted = (one: LaneFilter) => countOf(read(groups, one), one)
      for (const productId of [0, 1, 2])
        expect(facets.productId[productId] ?? 0).toBe(counted({ ...asked, productId }))
      for (const rating of [0, 100, 500])
        expect(facets.rating[rating] ?? 0).toBe(counted({ ...asked, rating }))
      for (const language of ['', 'de', 'en'])
        expect(facets.language[language] ?? 0).toBe(counted({ ...asked, language }))
      for (const verified of [true, false])
        expect(facets.verified[Number(verified)] ?? 0).toBe(counted({ ...asked, verified }))
    }),
  )
})

test('the rarest part is the one that alone lets the fewest through', () => {
  const one = (parts: Partial<CountedGroup>): CountedGroup => ({
    rating: 500,
    productId: 1,
    source: 'form',
    language: 'en',
    verified: true,
    hasText: true,
    needsReply: false,
    count: 1,
    ...parts,
  })
  const groups = [one({ count: 90 }), one({ rating: 100, count: 9 }), one({ rating: 100, language: 'pl' })]
  const rarest = (filter: LaneFilter) => rarestPart(read(groups, filter), filter)
  expect(rarest(wholeLane('approved'))).toBeNull()
  expect(rarest({ ...wholeLane('approved'), rating: 100, language: 'pl' })).toBe('language')
  expect(rarest({ ...wholeLane('approved'), rating: 100, verified: true })).toBe('rating')
})

import { expect, test } from 'vitest'
import { compareGroup, type GroupMember } from './compareGroup'
import { leastMs } from '../../tests/support/linearTime'

const copy = 'The best smoker in the whole wide world, every keeper of bees should buy two of them today.'
const member = (publicId: string, more: Partial<GroupMember> = {}): GroupMember => ({
  publicId,
  title: '',
  body: copy,
  rating: 500,
  verified: false,
  product: 'Smoker',
  ...more,
})
const three = [member('a'), member('b'), member('c')]
const odd = (members: GroupMember[]) => Object.fromEntries(compareGroup(members).odd)

test('among copies nobody is odd', () => {
  expect(compareGroup(three)).toEqual({ odd: new Map(), sameWords: true })
})

test('what sets one apart is named: a buyer, another rating, another product, words of her own', () => {
  expect(odd([...three, member('d', { verified: true })])).toEqual({ d: ['verified'] })
  expect(odd([...three, member('d', { rating: 200 })])).toEqual({ d: ['rating'] })
  expect(odd([...three, member('d', { product: 'Gloves' })])).toEqual({ d: ['product'] })
  expect(odd([...three, member('d', { body: 'Mine leaks at the rim, and the handle came off.' })])).toEqual({
    d: ['words'],
  })
  expect(odd([...three, member('d', { verified: true, rating: 100 })])).toEqual({ d: ['verified', 'rating'] })
})

test('where there is no rule there is no exception: mixed ratings make nobody odd', () => {
  const mixed = [100, 200, 300, 400].map((rating, i) => member(`m${i}`, { rating }))
  expect(odd(mixed)).toEqual({})
})

test('a stranger among buyers is no odd one out, he is the others’ like', () => {
  const buyers = ['a', 'b', 'c'].map((id) => member(id, { verified: true }))
  expect(odd([...buyers, member('d')])).toEqual({})
})

test('a crowd that only came at one time says different things, and nobody is odd for that', () => {
  const crowd = ['The lid fits.', 'Came on a Tuesday, whole.', 'My aunt likes the wax.'].map((body, i) =>
    member(`p${i}`, { body }),
  )
  expect(compareGroup(crowd)).toEqual({ odd: new Map(), sameWords: false })
})

test('a hundred are compared in no time', () => {
  const many = Array.from({ length: 500 }, (_, i) => member(`n${i}`, { body: `${copy} ${i}` }))
  expect(compareGroup(many).sameWords).toBe(true)
  expect(leastMs(() => compareGroup(many))).toBeLessThan(1000)
})

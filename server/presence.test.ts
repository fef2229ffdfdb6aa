import { expect, test } from 'vitest'
import { buildPresence } from './presence'

const mara = { id: 1, name: 'Mara' }
const ned = { id: 2, name: 'Ned' }

test('two on one review are told of each other, until one goes on or has not looked for long', () => {
  const presence = buildPresence()
  expect(presence.see(1, mara, 'a', 0)).toEqual({ others: [], moved: false })
  expect(presence.see(1, ned, 'a', 1000)).toEqual({ others: ['Mara'], moved: true })
  expect(presence.see(1, mara, 'a', 2000)).toEqual({ others: ['Ned'], moved: false })
  expect(presence.see(2, ned, 'a', 3000)).toEqual({ others: [], moved: false })
  expect(presence.see(1, ned, 'b', 4000)).toEqual({ others: [], moved: true })
  expect(presence.see(1, mara, 'a', 5000).others).toEqual([])
  expect(presence.see(1, mara, 'b', 6000).others).toEqual(['Ned'])
  expect(presence.see(1, mara, 'b', 90_000).others).toEqual([])
})

import type { Knex } from 'knex'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { openDatabase } from './database'

let db: Knex
beforeEach(async () => {
  db = await openDatabase(':memory:')
})
afterEach(() => db.destroy())

test('other input has its turn between queries, however many requests there are', async () => {
  // A third of a second of queries in all, which promises alone would run in one turn.
  const count =
    'WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ?) SELECT count(*) FROM n'
  let [turns, isDone] = [0, false]
  const onTurn = () => {
    turns++
    if (!isDone) setImmediate(onTurn)
  }
  setImmediate(onTurn)
  const begun = performance.now()
  await Promise.all(
    Array.from({ length: 10 }, async () => {
      for (let i = 0; i < 10; i++) await db.raw(count, [10_000])
    }),
  )
  isDone = true
  expect(turns).toBeGreaterThan((performance.now() - begun) / 60)
  expect(turns).toBeGreaterThan(3)
})

test('a statement that was prepared before sees a changed table, other values and its own errors', async () => {
  await db.schema.createTable('thing', (table) => table.integer('a').unique())
  const all = () => db('thing').select('*')
  expect(await all()).toEqual([])
  await db('thing').insert({ a: 1 })
  await db('thing').insert({ a: 2 })
  await expect(db('thing').insert({ a: 2 })).rejects.toThrow(/UNIQUE/)
  await db('thing').insert({ a: 3 })
  await db.schema.alterTable('thing', (table) => table.integer('b').defaultTo(7))
  expect(await all()).toEqual([1, 2, 3].map((a) => ({ a, b: 7 })))
})

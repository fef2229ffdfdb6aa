import { afterAll, beforeAll, describe, expect, expectTypeOf, test } from 'vitest'
import type { Knex } from 'knex'
import { z } from 'zod'
import { openMigrated } from '../../tests/support/prepared'
import { choice, flag, id, integer, json, text } from './columnDefinition'
import { insert, insertAll, nextId, row, whereOf } from './rows'
import { fromJson, like, maybe, orEmpty, pick, readAll, readFirst, readOne, value } from './select'
import { all, created, table } from './table'

const hive = table('hive', {
  id: id(),
  keeperName: text(),
  strength: choice('weak', 'strong').initially('weak'),
  isQueenright: flag(),
  combs: json(z.array(z.number())).initially([]),
  end: integer().null(),
  notes: json(z.array(z.string()).catch(['unreadable'])).null(),
})
const visit = table('visit', { id: id(), hiveId: integer().refers('hive'), weather: text(), isCalm: flag() })

let db: Knex
beforeAll(async () => {
  db = await openMigrated()
  await db.raw(created(hive))
  await db.raw(created(visit))
})
afterAll(() => db.destroy())

describe('a table', () => {
  test('stores a row under its own names and reads it as it was given', async () => {
    const given = { keeperName: 'Una', isQueenright: true, combs: [3, 5], end: null, notes: ['swarmed'] }
    const hiveId = await insert(db, hive, given)
    expect(await readOne(db('hive').where({ id: hiveId }), all(hive))).toEqual({
      ...given,
      id: hiveId,
      strength: 'weak',
    })
    expect(await db('hive').where({ id: hiveId }).first()).toMatchObject({
      keeper_name: 'Una',
      is_queenright: 1,
      combs: '[3,5]',
    })
  })

  test('refuses what its columns do not allow', async () => {
    const bad = { keeperName: 'Una', isQueenright: false, strength: 'mighty' as 'weak' }
    await expect(insert(db, hive, bad)).rejects.toThrow('CHECK')
    // @ts-expect-error a column without a default is missing
    await expect(insert(db, hive, { keeperName: 'Una' })).rejects.toThrow('NOT NULL')
    // @ts-expect-error no column has this name
    expect(() => pick(hive, 'queens')).not.toThrow()
  })

  test('takes many rows at once, also with words of SQL as names', async () => {
    const first = await nextId(db, hive)
    const rows = [1, 2, 3].map((end) => ({ keeperName: `Keeper ${end}`, isQueenright: end > 1, end }))
    await insertAll(db, hive, rows)
    await insertAll(db, hive, [])
    const stored = await readAll(
      db('hive').where('id', '>=', first).orderBy('id'),
      pick(hive, 'end', 'isQueenright'),
    )
    expect(stored).toEqual(rows.map(({ end, isQueenright }) => ({ end, isQueenright })))
    expectTypeOf(stored).toEqualTypeOf<{ end: number | null; isQueenright: boolean }[]>()
  })

  test('leaves out of a row what is undefined or no column, and keeps expressions', () => {
    const given = { keeperName: 'Una', end: undefined, isQueenright: false, color: 'red' }
    expect(row(hive, given as Parameters<typeof whereOf<typeof hive>>[1])).toEqual({
      keeper_name: 'Una',
      is_queenright: 0,
    })
    expect(() => whereOf(hive, { keeperName: 'Una', end: undefined })).toThrow('hive.end')
    const expression = db.raw('1 + 1')
    expect(row(hive, { end: expression })).toEqual({ end: expression })
  })
})

describe('a selection', () => {
  test('reads what a left join leaves empty as nothing, and expressions by their schemas', async () => {
    const hiveId = await insert(db, hive, { keeperName: 'Ivo', isQueenright: true })
    const found = await readFirst(
      db('hive').leftJoin('visit', 'visit.hive_id', 'hive.id').where({ 'hive.id': hiveId }),
      {
        ...pick(hive, 'keeperName'),
        isCalm: maybe(visit.isCalm),
        weather: orEmpty(db, visit.weather),
        isCertain: like(hive.isQueenright, db.raw('1')),
        combs: fromJson(z.array(z.number()), db.raw('json_array(1, 2)')),
        many: value(z.number(), db.raw('40 + 2')),
      },
    )
    expect(found).toEqual({
      keeperName: 'Ivo',
      isCalm: null,
      weather: '',
      isCertain: true,
      combs: [1, 2],
      many: 42,
    })
  })

  test('throws at JSON of another shape, unless the schema catches it', async () => {
    const hiveId = await insert(db, hive, { keeperName: 'Ada', isQueenright: true })
    const one = () => db('hive').where({ id: hiveId })
    await one().update({ combs: '["x"]', notes: '{broken' })
    await expect(readOne(one(), pick(hive, 'combs'))).rejects.toThrow(z.ZodError)
    expect(await readOne(one(), pick(hive, 'notes'))).toEqual({ notes: ['unreadable'] })
    await expect(readOne(db('hive').where({ id: -1 }), pick(hive, 'id'))).rejects.toThrow('missing')
    expect(await readFirst(db('hive').where({ id: -1 }), pick(hive, 'id'))).toBeUndefined()
  })
})

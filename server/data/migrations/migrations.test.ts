import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { gunzipSync } from 'node:zlib'
import knex, { type Knex } from 'knex'
import { describe, expect, test, vi } from 'vitest'
import { fullTextQuery } from '../../../core/moderation/searchWords'
import { openDatabase } from '../database'
import { migrate, migrations } from '.'

const FOLDER = 'tests/kept'
const kept = readdirSync(FOLDER).filter((file) => file.endsWith('.db.gz'))
const open = (file: string) => openDatabase(gunzipSync(readFileSync(path.join(FOLDER, file))))

/** A column that was added stands behind the line break of a table’s end. */
async function shape(db: Knex): Promise<{ name: string; sql: string }[]> {
  const stored = await db('sqlite_master')
    .whereNot('name', 'like', 'sqlite_%')
    .orderBy('name')
    .select<{ name: string; sql: string | null }[]>('name', 'sql')
  return stored.map(({ name, sql }) => ({
    name,
    sql: (sql ?? '').replace(/\s+/g, ' ').replace(/ ?([(),]) ?/g, '$1'),
  }))
}

describe.each(kept)('the kept database %s', (file) => {
  test('gets the shape of a fresh one, and loses nothing', async () => {
    const [db, fresh] = [await open(file), await openDatabase(':memory:')]
    expect(await shape(db)).toEqual(await shape(fresh))
    expect(await db.raw('PRAGMA foreign_key_check')).toEqual([])
    expect(await db('review').where({ state: 'waiting' })).toHaveLength(3)
    expect(await db('display').whereNotNull('live_version_id')).toHaveLength(1)
    await Promise.all([db.destroy(), fresh.destroy()])
  })
})

test('there is one of each version', () => {
  expect(kept).toEqual(migrations.map(({ name }) => `${name}.db.gz`))
})

test('a later migration changes an older database, and a fresh one has nothing left to change', async () => {
  const up = vi.fn(async () => undefined)
  const list = [...migrations, { name: '9999_later', migration: { up, down: up } }]
  const db = await open(kept.at(-1)!)
  await migrate(db, list)
  expect(up).toHaveBeenCalledOnce()
  await db.destroy()
  const fresh = knex({
    client: 'better-sqlite3',
    connection: { filename: ':memory:' },
    useNullAsDefault: true,
    pool: { min: 1, max: 1 },
  })
  await migrate(fresh, list)
  expect(up).toHaveBeenCalledOnce()
  expect(await fresh('knex_migrations').pluck('name')).toEqual(list.map(({ name }) => name))
  expect(await fresh.schema.hasTable('review')).toBe(true)
  await fresh.destroy()
})

test('reviews of an older database are found in every script, and its forms have names', async () => {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'elogio-old-')), 'old.db')
  writeFileSync(file, gunzipSync(readFileSync(path.join(FOLDER, '1001_schema.db.gz'))))
  const old = knex({ client: 'better-sqlite3', connection: { filename: file }, useNullAsDefault: true })
  await old('review_version').update({ body: 'この蜂蜜はおいしい' }).where({ id: 1 })
  await old('review_version').update({ body: 'नमस्ते' }).where({ id: 2 })
  await old.destroy()
  const db = await openDatabase(file)
  const found = (words: string) =>
    db('review_text').whereRaw('review_text MATCH ?', fullTextQuery(words)!).pluck('rowid')
  expect(await found('蜂蜜')).toEqual([1])
  expect(await found('नमस्ते')).toEqual([2])
  expect(await found('hive')).toEqual([3])
  expect(await db('form').pluck('name')).toEqual(['How was it?'])
  expect(await db.raw('SELECT rowid FROM product_text WHERE product_text MATCH \'"hive"\'')).not.toEqual([])
  await db.destroy()
  rmSync(path.dirname(file), { recursive: true })
})

import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { checkPassword } from '../server/account/password'
import { openDatabase } from '../server/data/database'
import { copyDemo } from '../tests/support/prepared'

const folder = mkdtempSync(path.join(tmpdir(), 'elogio-cli-'))
const elogio = (args: string[], dataFolder = folder) =>
  spawnSync(process.execPath, ['scripts/elogio.mjs', ...args], {
    env: { ...process.env, ELOGIO_DATA: dataFolder },
    encoding: 'utf8',
  })
const run = (dataFolder: string) => elogio(['log', 'verify'], dataFolder)
beforeAll(() => copyDemo(folder))
afterAll(() => rmSync(folder, { recursive: true }))

test('log verify says of each shop that its chain holds, and where one is broken', async () => {
  const sound = run(folder)
  expect([sound.status, sound.stdout]).toEqual([
    0,
    'wrenfield: 522 entries, the chain holds\nsaltmarsh: 8 entries, the chain holds\n',
  ])
  const db = await openDatabase(path.join(folder, 'elogio.db'))
  await db.raw('DROP TRIGGER decision_never_updated')
  await db('decision').where({ number: 9, shop_id: 1 }).update({ at: '2020-01-01T00:00:00.000Z' })
  await db.destroy()
  const broken = run(folder)
  expect([broken.status, broken.stdout]).toEqual([
    1,
    'wrenfield: BROKEN at entry 9 of 522\nsaltmarsh: 8 entries, the chain holds\n',
  ])
})

test('without data it says which variable to set', () => {
  const none = run('/nowhere')
  expect([none.status, none.stderr]).toEqual([
    1,
    'There is no data in /nowhere. Set ELOGIO_DATA to the data folder.\n',
  ])
})

test('read takes a pasted text apart, and says what it cannot read yet', () => {
  const file = path.join(folder, 'note.txt')
  writeFileSync(file, '\uFEFFAnna Berg, 8/10, 3 May 2026: the best kit we have had\r\nby far\r\n')
  const { reviews, skipped } = JSON.parse(elogio(['read', file]).stdout) as {
    reviews: object[]
    skipped: unknown[]
  }
  expect([reviews, skipped]).toEqual([
    [
      {
        author_name: 'Anna Berg',
        author_email: null,
        rating: 4,
        rating_given: 8,
        rating_scale: 10,
        title: null,
        body: 'the best kit we have had\nby far',
        written_at: '2026-05-03',
        product: null,
        external_url: null,
        consent: null,
        answers: null,
      },
    ],
    [],
  ])
  const sheet = elogio(['read', 'survey.xlsx'])
  expect([sheet.status, sheet.stderr]).toEqual([
    1,
    'survey.xlsx: only text can be read so far; say --as text to read it so.\n',
  ])
})

test('member password gives a new one that works, and says so when there is no such member', async () => {
  const given = elogio(['member', 'password', 'ned@saltmarshlane.example'])
  const password = /is (\S+)\n$/.exec(given.stdout)?.[1]
  expect(password).toMatch(/^\S{20}$/)
  const db = await openDatabase(path.join(folder, 'elogio.db'))
  const { password_hash: hash } = await db('member')
    .where({ email: 'ned@saltmarshlane.example' })
    .first<{ password_hash: string }>('password_hash')
  await db.destroy()
  expect(await checkPassword(hash, password!)).toBe(true)
  const nobody = elogio(['member', 'password', 'nobody@wrenfield.example'])
  expect([nobody.status, nobody.stderr]).toEqual([
    1,
    'There is no member with the address nobody@wrenfield.example.\n',
  ])
})

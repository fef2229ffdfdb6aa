import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { openDatabase } from '../server/data/database'
import { fillDemo } from '../demo/fill'

const folder = mkdtempSync(path.join(tmpdir(), 'elogio-cli-'))
const run = (dataFolder: string) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'cli/main.ts', 'log', 'verify'], {
    env: { ...process.env, ELOGIO_DATA: dataFolder },
    encoding: 'utf8',
  })
beforeAll(() =>
  fillDemo(folder, {
    publicUrl: 'http://localhost:1',
    secret: null,
    argon: { memoryCost: 1024, timeCost: 1 },
  }),
)
afterAll(() => rmSync(folder, { recursive: true }))

test('log verify says of each shop that its chain holds, and where one is broken', async () => {
  const sound = run(folder)
  expect([sound.status, sound.stdout]).toEqual([
    0,
    'wrenfield: 51 entries, the chain holds\nsaltmarsh: 7 entries, the chain holds\n',
  ])
  const db = await openDatabase(path.join(folder, 'elogio.db'))
  await db.raw('DROP TRIGGER decision_never_updated')
  await db('decision').where({ number: 9, shop_id: 1 }).update({ at: '2020-01-01T00:00:00.000Z' })
  await db.destroy()
  const broken = run(folder)
  expect([broken.status, broken.stdout]).toEqual([
    1,
    'wrenfield: BROKEN at entry 9 of 51\nsaltmarsh: 7 entries, the chain holds\n',
  ])
}, 30_000)

test('without data it says which variable to set', () => {
  const none = run('/nowhere')
  expect([none.status, none.stderr]).toEqual([
    1,
    'There is no data in /nowhere. Set ELOGIO_DATA to the data folder.\n',
  ])
}, 30_000)

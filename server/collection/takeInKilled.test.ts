import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { copyMigrated } from '../../tests/support/prepared'
import { addMember, addShop, testServices } from '../../tests/support/shop'
import { openDatabase } from '../data/database'
import { verifyChain } from '../data/decisions'
import { insertIntake } from '../data/intakes'
import { laneCounts } from '../data/reviewCounts'
import { databaseFile } from '../dataFolder'
import type { Services } from '../services'

/* A process that takes in a file of reviews is killed in the middle, and another goes on. */

const COUNT = 700
/** `ELOGIO_KILLS=10` for the figures in the docs. */
const KILLS = Number(process.env.ELOGIO_KILLS ?? 2)

let folder: string
let services: Services
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'elogio-killed-'))
  await copyMigrated(folder)
  ;({ services } = await testServices({ db: await openDatabase(databaseFile(folder)) }))
})
afterEach(async () => {
  await services.db.destroy()
  rmSync(folder, { recursive: true, force: true })
})

/** @param chunks the number of chunks after which it is killed; null lets it end */
async function run(what: 'take' | 'undo', intake: string, chunks: number | null): Promise<void> {
  const args = ['--import', 'tsx', 'tests/support/takeInChild.ts', folder, intake, String(COUNT), what]
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] })
  let seen = 0
  child.stdout.on('data', (bytes: Buffer) => {
    seen += bytes.toString().split('stored').length - 1
    if (chunks !== null && seen >= chunks) child.kill('SIGKILL')
  })
  const [code] = (await once(child, 'exit')) as [number | null]
  expect(code).toBe(chunks === null ? 0 : null)
}

test(
  'nothing is lost, nothing comes twice, and the counts are right; so it is with undoing it',
  async () => {
    const { db } = services
    const mara = await addMember(services, 'Mara')
    const shop = await addShop(services, 'wrenfield', [mara])
    const { publicId } = await insertIntake(db, {
      shopId: shop.id,
      publicId: 'intake',
      source: 'manualEntry',
      origin: 'old-shop.csv',
      memberId: mara.id,
      createdAt: services.now().toISOString(),
    })
    for (let i = 0; i < KILLS; i++) await run('take', publicId, 1 + (i % 4))
    const between = (await laneCounts(db, shop.id)).approved
    expect(between).toBeGreaterThan(0)
    expect(between).toBeLessThan(COUNT)
    await run('take', publicId, null)
    expect((await laneCounts(db, shop.id)).approved).toBe(COUNT)
    const [kept] = (await db.raw(`SELECT count(*) AS all_of_them, count(DISTINCT external_key) AS keys,
      (SELECT count(*) FROM review_text WHERE review_text MATCH 'frames') AS found,
      (SELECT count(*) FROM decision) AS logged FROM review`)) as [Record<string, number>]
    expect(kept).toEqual({ all_of_them: COUNT, keys: COUNT, found: COUNT, logged: COUNT })

    await run('undo', publicId, 3)
    await run('undo', publicId, null)
    expect(await laneCounts(db, shop.id)).toMatchObject({ approved: 0, withdrawn: 0 })
    expect(await verifyChain(db, shop.id)).toEqual({ holds: true, entries: 2 * COUNT })
  },
  60_000 + KILLS * 20_000,
)

import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { sitesFor } from '../../tests/support/listings'
import { copyMigrated } from '../../tests/support/prepared'
import { addMember, addShop, testServices } from '../../tests/support/shop'
import { openDatabase } from '../data/database'
import { verifyChain } from '../data/decisions'
import { findListing } from '../data/listings'
import { laneCounts } from '../data/reviewCounts'
import { databaseFile } from '../dataFolder'
import type { Services } from '../services'
import { connectListing } from './connectListing'

/* A process that reads a listing for the first time is killed in the middle, and another goes on. */

/** `ELOGIO_KILLS=10` for the figures in the docs. */
const KILLS = Number(process.env.ELOGIO_KILLS ?? 2)

let folder: string
let services: Services
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'elogio-killed-'))
  await copyMigrated(folder)
  ;({ services } = await testServices({
    db: await openDatabase(databaseFile(folder)),
    now: () => new Date(),
    mediaFolder: folder,
    ...sitesFor({ now: new Date() }).given,
  }))
})
afterEach(async () => {
  await services.db.destroy()
  rmSync(folder, { recursive: true, force: true })
})

/** @param pages after which it is killed; null lets it end */
async function run(pages: number | null): Promise<void> {
  const args = ['--import', 'tsx', 'tests/support/firstReadChild.ts', folder]
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] })
  let seen = 0
  child.stdout.on('data', (bytes: Buffer) => {
    seen += bytes.toString().split('page').length - 1
    if (pages !== null && seen >= pages) child.kill('SIGKILL')
  })
  const [code] = (await once(child, 'exit')) as [number | null]
  if (pages === null) expect(code).toBe(0)
}

test(
  'a first read that is killed again and again ends complete',
  async () => {
    const mara = await addMember(services, 'Mara')
    const shop = await addShop(services, 'wrenfield', [mara])
    const made = await connectListing(services, shop, {
      origin: 'lanternway',
      kind: 'listing',
      id: 'LW7Q4K2M9A',
      accessKey: '',
      languages: [],
      product: '',
      tag: '',
      arrivesAs: 'approved',
    })
    for (let i = 0; i < KILLS; i++) await run(2 + (i % 3))
    await run(null)
    const { approved, held } = await laneCounts(services.db, shop.id)
    expect(approved + held).toBe(122)
    expect(await findListing(services.db, shop.id, { publicId: 'listing' in made ? made.listing : '' })).toMatchObject({ reads: 1, refusal: null, cursor: null, readSoFar: null, count: 122 }) // oxfmt-ignore
    expect(await verifyChain(services.db, shop.id)).toEqual({ holds: true, entries: 122 })
  },
  60_000 + KILLS * 20_000,
)

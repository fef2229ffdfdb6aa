import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { gzipSync } from 'node:zlib'
import { migrations } from '../../server/data/migrations'
import { makeLive } from '../../server/publishing/draft'
import { addMember, addShop, send, testServices } from '../support/shop'

/*
 * Keeps a small filled database under the name of its last migration: `npx tsx tests/kept/keep.ts`, before a migration
 * is added. `migrations.test.ts` brings it up to date.
 */
const folder = mkdtempSync(path.join(tmpdir(), 'elogio-kept-'))
const { services } = await testServices()
const mara = await addMember(services, 'Mara')
const shop = await addShop(services, 'wrenfield', [mara])
for (const [i, product] of ['HK-2', '', 'HK-2'].entries())
  await send(services, 'wrenfield', { rating: 5 - i, product, body: `The lid of hive ${i} fits well now.` })
await makeLive(services, shop, mara, 'wrenfield-page')
await services.db.raw('VACUUM INTO ?', [path.join(folder, 'kept.db')])
await services.db.destroy()
const name = `${migrations.at(-1)!.name}.db.gz`
writeFileSync(path.join(import.meta.dirname, name), gzipSync(readFileSync(path.join(folder, 'kept.db'))))
rmSync(folder, { recursive: true })

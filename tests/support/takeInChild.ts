import { asMember } from '../../core/moderation/actor'
import { takeIn } from '../../server/collection/takeIn'
import { askToUndoIntake, undoIntake } from '../../server/collection/undoIntake'
import { openDatabase } from '../../server/data/database'
import { findIntake } from '../../server/data/intakes'
import { findShop } from '../../server/data/shops'
import { databaseFile } from '../../server/dataFolder'
import { buildServices, type Services } from '../../server/services'
import { inlineWorkers } from '../../server/workers/inline'
import { brought } from './brought'

/* A process that takes reviews in, or undoes that, until it has done all or is killed. */

const [folder, publicId, count, what] = process.argv.slice(2) as [string, string, string, string]
const db = await openDatabase(databaseFile(folder))
const services: Services = buildServices({
  db,
  workers: inlineWorkers(() => services),
  signingKey: Buffer.from('a key'),
  publicUrl: 'http://localhost',
  mediaFolder: folder,
})
const shop = await findShop(db, 1)
const intake = (await findIntake(db, shop.id, publicId))!
const actor = asMember({ id: 1 })
const control = { isStopped: () => false, progress: () => console.log('stored'), giveWay: () => undefined }
if (what === 'undo') {
  await askToUndoIntake(services, shop, actor, publicId)
  const input = { shopId: shop.id, intake: publicId, back: false, actor }
  await undoIntake(services, input, control)
} else {
  const candidates = Array.from({ length: Number(count) }, (_, i) => brought(`K-${i}`))
  await takeIn(services, shop, { intake, actor, candidates }, control)
}
await db.destroy()

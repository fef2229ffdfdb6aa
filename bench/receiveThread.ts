import { parentPort, workerData } from 'node:worker_threads'
import { asMember } from '../core/moderation/actor'
import { takeIn } from '../server/collection/takeIn'
import { openInThread } from '../server/data/database'
import { findIntake } from '../server/data/intakes'
import { findShop } from '../server/data/shops'
import { Turns } from '../server/data/turns'
import { buildServices, type Services } from '../server/services'
import { inlineWorkers } from '../server/workers/inline'
import { takeLowPriority } from '../server/workers/lowPriority'
import { generated } from './generated'

/* Takes reviews in, as a job's thread does. */

export interface ReceiveThreadData {
  file: string
  turns: SharedArrayBuffer
  intake: string
  count: number
}

const { file, turns: shared, intake: publicId, count } = workerData as ReceiveThreadData
takeLowPriority()
const turns = new Turns(shared)
const db = await openInThread(file, turns)
const services: Services = buildServices({
  db,
  workers: inlineWorkers(() => services),
  signingKey: Buffer.alloc(0),
  publicUrl: 'http://localhost',
  mediaFolder: '',
})
const shop = await findShop(db, 1)
const intake = (await findIntake(db, shop.id, publicId))!
await takeIn(
  services,
  shop,
  { intake, actor: asMember({ id: 1 }), candidates: generated(count) },
  {
    isStopped: () => false,
    progress: (done) => parentPort!.postMessage(done),
    giveWay: () => turns.giveWay(),
  },
)
await db.destroy()
parentPort!.postMessage('done')

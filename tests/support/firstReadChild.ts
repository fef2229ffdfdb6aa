import { databaseFile } from '../../server/dataFolder'
import { openDatabase } from '../../server/data/database'
import { releaseAll } from '../../server/jobs/queue'
import { buildServices, type Services } from '../../server/services'
import { inlineWorkers } from '../../server/workers/inline'
import { sitesFor } from './listings'
import { drainJobs } from './shop'

/* A process that checks the listings of a shop until it has done so or is killed. */

const [folder] = process.argv.slice(2) as [string]
const db = await openDatabase(databaseFile(folder))
const { given } = sitesFor({ now: new Date() })
const services: Services = buildServices({
  db,
  workers: inlineWorkers(() => services),
  signingKey: Buffer.from('a key for tests'),
  publicUrl: 'http://localhost',
  mediaFolder: folder,
  origins: given.origins,
  fetchOutside: async (address, limits) => {
    if (address.includes('?page=')) console.log('page')
    return given.fetchOutside(address, limits)
  },
})
await releaseAll(db)
await drainJobs(services)
await db.destroy()

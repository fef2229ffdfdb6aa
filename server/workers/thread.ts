import { parentPort, workerData } from 'node:worker_threads'
import { originsAt } from '../../core/listing/origins'
import { openInThread } from '../data/database'
import { Turns } from '../data/turns'
import { displayJson } from '../http/displayAnswers'
import { buildServices, type Services } from '../services'
import type { Asked, Said, ThreadSettings } from './messages'
import { takeLowPriority } from './lowPriority'
import { loadTask } from './tasks'
import type { TaskName, Tasks, Workers } from './workers'
import type { ArrivalToWeigh } from '../moderation/weighedArrival'

/* The main thread loads nothing of this. */

const settings: ThreadSettings = workerData
if (settings.isPatient) takeLowPriority()
const turns = new Turns(settings.turns)
let services: Promise<Services> | undefined

const say = (said: Said) => parentPort?.postMessage(said)

/** A thread scores reviews that are compared with nothing itself. */
const ownWorkers: Workers = {
  run: async (name, input) => {
    if (name !== 'weighArrival' || !(input as ArrivalToWeigh).alone)
      throw new Error(`a worker thread can't ask for ${name}`)
    return run({ name, input, stop: new Int32Array(1), task: 0 })
  },
  close: async () => undefined,
}

async function build(): Promise<Services> {
  const { databaseFile, mediaFolder, publicUrl, behaviours, sites } = settings
  return buildServices({
    db: await openInThread(databaseFile, turns),
    // Threads sign nothing.
    signingKey: Buffer.alloc(0),
    mediaFolder,
    publicUrl,
    behaviours,
    origins: sites === null ? [] : originsAt(sites),
    changes: {
      announce: (shopId, topic) => say({ kind: 'announce', shopId, ...(topic && { topic }) }),
      listen: () => () => undefined,
    },
    // Compressed here, because the main thread answers visitors meanwhile.
    published: (display) => say({ kind: 'published', display, json: displayJson(display.body) }),
    wakeJobs: () => say({ kind: 'wakeJobs' }),
    workers: ownWorkers,
  })
}

export default async function run<N extends TaskName>(asked: Asked<N>): Promise<Tasks[N]['output']> {
  const { name, input, stop, task } = asked
  const work = await loadTask[name]()
  const ready = await (services ??= build())
  say({ kind: 'begun', task })
  return work(ready, input, {
    isStopped: () => Atomics.load(stop, 0) === 1,
    progress: (done, total) => say({ kind: 'progress', task, done, total }),
    giveWay: () => turns.giveWay(),
  })
}

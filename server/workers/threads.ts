import { Piscina } from 'piscina'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Published } from '../publishing/published'
import type { Turns } from '../data/turns'
import type { Log } from '../log'
import type { Asked, Said, ThreadSettings } from './messages'
import type { TaskName, Workers } from './workers'

const ENDING_MS = 5000
// A thread needs 1.5 s to start.
const IDLE_MS = 60_000
const MEMORY_MB = 256

export interface ThreadsGiven {
  databaseFile: string
  mediaFolder: string
  publicUrl: string
  behaviours: ThreadSettings['behaviours']
  sitesUrl: string | null
  turns: Turns
  log: Log
  announce: (shopId: number) => void
  wakeJobs: () => void
  published: (display: Published) => void
}

/** Each thread runs one task at a time and has its own database connection. */
export function buildThreads(given: ThreadsGiven): Workers {
  const pools = {
    long: buildPool(given, {}),
    history: buildPool(given, { stays: true, memoryMb: 400 }),
    // Copying takes minutes in a large shop.
    backup: buildPool(given, {}),
    render: buildPool(given, { memoryMb: 2000, isPatient: false, idleMs: 10 * IDLE_MS }),
  }
  return {
    run: (name, input, options) => pools[poolOf[name]].run(name, input, options),
    close: async () => {
      await Promise.all(Object.values(pools).map((pool) => pool.close()))
    },
  }
}

/** The built file, or the source in development. */
function threadFile(): string {
  const isBuilt = import.meta.url.endsWith('.js')
  return isBuilt
    ? path.resolve('build/app/thread.js')
    : fileURLToPath(new URL('./start.mjs', import.meta.url))
}

/** A new review never waits for an import, and the histories of reviews stay in one thread. */
const poolOf: Record<TaskName, 'long' | 'history' | 'render' | 'backup'> = {
  importOrders: 'long',
  undoIntake: 'long',
  moveReviews: 'long',
  publishStale: 'render',
  makeVariant: 'render',
  readOrigin: 'render',
  takeInFound: 'long',
  readVideo: 'render',
  readPage: 'render',
  readStyles: 'render',
  stillPage: 'render',
  weighArrival: 'history',
  forgetArrival: 'history',
  rememberShops: 'history',
  backUp: 'backup',
}

interface PoolSettings {
  /** Whether its thread never ends. */
  stays?: boolean
  /** Whether nobody waits for its results. */
  isPatient?: boolean
  memoryMb?: number
  idleMs?: number
}

function buildPool(
  given: ThreadsGiven,
  { stays = false, isPatient = !stays, memoryMb = MEMORY_MB, idleMs = IDLE_MS }: PoolSettings,
): Workers {
  const { databaseFile, mediaFolder, publicUrl, behaviours, sitesUrl, turns } = given
  const settings: ThreadSettings = {
    databaseFile,
    mediaFolder,
    publicUrl,
    behaviours,
    sitesUrl,
    turns: turns.shared,
    isPatient,
  }
  const pool = new Piscina({
    filename: threadFile(),
    execArgv: [],
    minThreads: stays ? 1 : 0,
    maxThreads: 1,
    // The history thread reads earlier reviews in the background while it scores new ones.
    concurrentTasksPerWorker: stays ? 20 : 1,
    atomics: stays ? 'disabled' : 'sync',
    idleTimeout: stays ? Infinity : idleMs,
    resourceLimits: { maxOldGenerationSizeMb: memoryMb },
    workerData: settings,
  })
  const hearing = new Map<number, (done: number, total: number | null) => void>()
  let count = 0
  pool.on('message', (said: Said) => {
    if (said.kind === 'announce') given.announce(said.shopId)
    else if (said.kind === 'wakeJobs') given.wakeJobs()
    else if (said.kind === 'published') given.published(said.display)
    else hearing.get(said.task)?.(said.done, said.total)
  })
  pool.on('error', (error) => given.log.error({ err: error }, 'a worker thread failed'))

  return {
    run: async (name, input, { signal, progress, mostMs } = {}) => {
      const task = ++count
      const stop = new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT))
      const kill = new AbortController()
      const timers: NodeJS.Timeout[] = []
      const after = (ms: number, act: () => void) => {
        const timer = setTimeout(act, ms)
        timer.unref()
        timers.push(timer)
      }
      const end = () => {
        Atomics.store(stop, 0, 1)
        after(ENDING_MS, () => kill.abort())
      }
      if (signal?.aborted) end()
      signal?.addEventListener('abort', end)
      if (mostMs !== undefined) after(mostMs, end)
      if (progress) hearing.set(task, progress)
      try {
        const asked: Asked<TaskName> = { name, input, stop, task }
        return (await pool.run(asked, { signal: kill.signal })) as never
      } finally {
        hearing.delete(task)
        signal?.removeEventListener('abort', end)
        timers.forEach(clearTimeout)
      }
    },
    close: () => pool.close({ force: true }).catch(() => undefined),
  }
}

import pLimit from 'p-limit'
import { Piscina } from 'piscina'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Changes } from '../changes'
import type { Prepared } from '../http/prepared'
import type { Published } from '../publishing/published'
import type { Turns } from '../data/turns'
import type { Log } from '../log'
import type { Asked, Said, ThreadSettings } from './messages'
import { TaskExhausted, type TaskName, type TaskOptions, type Tasks, type Workers } from './workers'

/** After its deadline a task may end its transaction. One that reads foreign input ends at once. */
const ENDING_MS = 5000
// A thread needs 1.5 s to start.
const IDLE_MS = 60_000
const MEMORY_MB = 256
const TASKS_AT_ONCE = 20

export interface ThreadsGiven {
  databaseFile: string
  mediaFolder: string
  publicUrl: string
  behaviours: ThreadSettings['behaviours']
  sites: string | null
  turns: Turns
  log: Log
  announce: Changes['announce']
  wakeJobs: () => void
  published: (display: Published, json: Prepared) => void
}

/**
 * Each thread runs one task at a time and has its own database connection.
 * @param mostMs the deadline of a task, from its beginning
 */
export function buildThreads(given: ThreadsGiven, mostMs = (name: TaskName) => tasks[name].mostMs): Workers {
  const buildPool = (settings: PoolSettings) => poolOf(given, settings, mostMs)
  const pools = {
    long: buildPool({}),
    history: buildPool({ stays: true, memoryMb: 400 }),
    // Copying takes minutes in a large shop.
    backup: buildPool({}),
    render: buildPool({ memoryMb: 2000, isPatient: false, idleMs: 10 * IDLE_MS }),
    // What a member looks at is not held up by the rendering of displays.
    view: buildPool({ memoryMb: 1000, isPatient: false, idleMs: 10 * IDLE_MS }),
    // Two, so that one hostile page does not hold up the reading of another. At a low priority a busy machine would
    // let honest pages run into the deadline.
    foreign: buildPool({ threads: 2, isPatient: false, endingMs: 0, idleMs: 10 * IDLE_MS }),
  }
  return {
    run: (name, input, options) => pools[tasks[name].pool].run(name, input, options),
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

const SECOND_MS = 1000
const HOUR_MS = 3600 * SECOND_MS

/**
 * Where each task runs, and its deadline from the moment when it begins. A new review never waits for an import, the
 * histories of reviews stay in one thread, and nobody waits for what comes from outside but who asked for it.
 */
const tasks: Record<
  TaskName,
  { pool: 'long' | 'history' | 'render' | 'view' | 'backup' | 'foreign'; mostMs: number }
> = {
  importOrders: { pool: 'long', mostMs: 2 * HOUR_MS },
  undoIntake: { pool: 'long', mostMs: 2 * HOUR_MS },
  moveReviews: { pool: 'long', mostMs: 2 * HOUR_MS },
  takeInFound: { pool: 'long', mostMs: 2 * HOUR_MS },
  publishStale: { pool: 'render', mostMs: 300 * SECOND_MS },
  makeVariant: { pool: 'render', mostMs: 10 * SECOND_MS },
  displayCards: { pool: 'view', mostMs: 20 * SECOND_MS },
  editorView: { pool: 'view', mostMs: 20 * SECOND_MS },
  miniatures: { pool: 'view', mostMs: 20 * SECOND_MS },
  looksToStartFrom: { pool: 'view', mostMs: 20 * SECOND_MS },
  readOrigin: { pool: 'foreign', mostMs: 10 * SECOND_MS },
  readVideo: { pool: 'foreign', mostMs: 10 * SECOND_MS },
  readPage: { pool: 'foreign', mostMs: 10 * SECOND_MS },
  readStyles: { pool: 'foreign', mostMs: 10 * SECOND_MS },
  stillPage: { pool: 'foreign', mostMs: 10 * SECOND_MS },
  weighArrival: { pool: 'history', mostMs: 20 * SECOND_MS },
  forgetArrival: { pool: 'history', mostMs: 20 * SECOND_MS },
  rememberShops: { pool: 'history', mostMs: HOUR_MS },
  backUp: { pool: 'backup', mostMs: 2 * HOUR_MS },
}

interface PoolSettings {
  /** Whether its thread never ends. */
  stays?: boolean
  /** Whether nobody waits for its results. */
  isPatient?: boolean
  memoryMb?: number
  idleMs?: number
  threads?: number
  endingMs?: number
}

/** What is called when a task says something. */
interface Hearing extends Pick<TaskOptions, 'progress'> {
  begun: () => void
}

function poolOf(
  given: ThreadsGiven,
  {
    stays = false,
    isPatient = !stays,
    memoryMb = MEMORY_MB,
    idleMs = IDLE_MS,
    threads = 1,
    endingMs = ENDING_MS,
  }: PoolSettings,
  mostMs: (name: TaskName) => number,
): Workers {
  const { databaseFile, mediaFolder, publicUrl, behaviours, sites, turns } = given
  const settings: ThreadSettings = {
    databaseFile,
    mediaFolder,
    publicUrl,
    behaviours,
    sites,
    turns: turns.shared,
    isPatient,
  }
  const pool = new Piscina({
    filename: threadFile(),
    execArgv: [],
    minThreads: stays ? 1 : 0,
    maxThreads: threads,
    // The history thread reads earlier reviews in the background while it scores new ones.
    concurrentTasksPerWorker: stays ? TASKS_AT_ONCE : 1,
    atomics: stays ? 'disabled' : 'sync',
    idleTimeout: stays ? Infinity : idleMs,
    resourceLimits: { maxOldGenerationSizeMb: memoryMb },
    workerData: settings,
  })
  const hearing = new Map<number, Hearing>()
  let count = 0
  pool.on('message', (said: Said) => {
    if (said.kind === 'announce') given.announce(said.shopId, said.topic)
    else if (said.kind === 'wakeJobs') given.wakeJobs()
    else if (said.kind === 'published') given.published(said.display, said.json)
    else if (said.kind === 'begun') hearing.get(said.task)?.begun()
    else hearing.get(said.task)?.progress?.(said.done, said.total)
  })
  pool.on('error', (error) => given.log.error({ err: error }, 'a worker thread failed'))

  // Waiting for a thread does not count as working.
  const inTurn = pLimit(stays ? TASKS_AT_ONCE : threads)

  async function run<N extends TaskName>(
    name: N,
    input: Tasks[N]['input'],
    { signal, progress }: TaskOptions,
  ): Promise<Tasks[N]['output']> {
    const task = ++count
    const stop = new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT))
    const kill = new AbortController()
    const timers: NodeJS.Timeout[] = []
    let isLate = false
    const after = (ms: number, act: () => void) => {
      const timer = setTimeout(act, ms)
      timer.unref()
      timers.push(timer)
    }
    const end = () => {
      Atomics.store(stop, 0, 1)
      after(endingMs, () => kill.abort())
    }
    if (signal?.aborted) end()
    signal?.addEventListener('abort', end)
    // The start of a thread takes seconds on a busy machine, and is not the fault of the input.
    const begun = () =>
      after(mostMs(name), () => {
        isLate = true
        end()
      })
    hearing.set(task, { begun, progress })
    try {
      const asked: Asked<TaskName> = { name, input, stop, task }
      return (await pool.run(asked, { signal: kill.signal })) as never
    } catch (error) {
      if (isLate) throw new TaskExhausted(name, 'time', error)
      if (isOutOfMemory(error)) throw new TaskExhausted(name, 'memory', error)
      throw error
    } finally {
      hearing.delete(task)
      signal?.removeEventListener('abort', end)
      timers.forEach(clearTimeout)
    }
  }

  return {
    run: (name, input, options = {}) => inTurn(() => run(name, input, options)),
    close: () => pool.close({ force: true }).catch(() => undefined),
  }
}

const isOutOfMemory = (error: unknown) =>
  error instanceof Error && 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY'

import type { Services } from '../services'
import { JobRefused, type Job, type JobControl, type JobKind, type JobKinds } from './job'
import {
  endUndone,
  enqueueRecurring,
  finish,
  leaseNext,
  noteProgress,
  rescheduleJob,
  releaseExpired,
  renewLeases,
} from './queue'

const LEASE_MS = 60_000
const POLL_MS = 1000
const NOTING_MS = 500
const FIRST_WAIT_MS = 2000
const LONGEST_WAIT_MS = 3_600_000
const ASLEEP_MS = 30_000

/** The reason for an abort: a job that was not cancelled runs again. */
type Ending = 'cancelled' | 'stopping' | 'late'

export interface JobRunner {
  /** Checks for due jobs now. */
  check: () => void
  /** Resolves when no job is due or running. */
  drain: () => Promise<void>
  /** Cancels a running job. */
  cancel: (id: number) => void
  stop: () => Promise<void>
  /** The number of running jobs, and the kinds that have reported nothing for too long. */
  state: () => { running: number; stuck: string[] }
}

interface Running {
  job: Job
  kind: JobKind
  abort: AbortController
  ended: Promise<void>
  /** Time of its last progress, in epoch milliseconds. */
  heardAt: number
}

type Given = Pick<Services, 'db' | 'now' | 'log' | 'changes'>

/**
 * Runs the jobs of the job table, with a limit for each kind. Failed jobs run again after growing delays; after the last
 * attempt the reason is stored. The runner renews the leases of its jobs.
 */
export function startJobRunner(given: Given, kinds: JobKinds): JobRunner {
  return new Runner(given, kinds)
}

class Runner implements JobRunner {
  readonly #given: Given
  readonly #kinds: JobKinds
  readonly #running = new Map<number, Running>()
  readonly #timer: NodeJS.Timeout
  #looking: Promise<void>
  #stopped = false
  #lookedAt: number
  #lookAgain = false

  constructor(given: Given, kinds: JobKinds) {
    this.#given = given
    this.#kinds = kinds
    this.#lookedAt = this.#nowMs()
    this.#looking = this.#listRecurring()
    this.#timer = setInterval(() => {
      this.check()
      this.#renew().catch((error: unknown) =>
        given.log.error({ err: error }, 'the leases of jobs could not be renewed'),
      )
    }, POLL_MS)
    this.#timer.unref()
    this.check()
  }

  check(): void {
    if (this.#stopped || this.#lookAgain) return
    this.#lookAgain = true
    this.#looking = this.#looking
      .then(() => {
        this.#lookAgain = false
        return this.#look()
      })
      .catch((error: unknown) => this.#given.log.error({ err: error }, 'the job list could not be read'))
  }

  async drain(): Promise<void> {
    do {
      this.check()
      await this.#looking
      await this.#allEnded()
      await this.#looking
    } while (this.#running.size > 0)
  }

  cancel(id: number): void {
    abort(this.#running.get(id), 'cancelled')
  }

  async stop(): Promise<void> {
    this.#stopped = true
    clearInterval(this.#timer)
    await this.#looking
    for (const one of this.#running.values()) abort(one, 'stopping')
    await this.#allEnded()
  }

  state(): { running: number; stuck: string[] } {
    const asleep = this.#nowMs() - this.#lookedAt > ASLEEP_MS
    const silent = [...this.#running.values()]
      // Gives aborted jobs time to end.
      .filter((one) => this.#silentMs(one) > one.kind.quietMs + ASLEEP_MS)
      .map(({ job }) => job.kind)
    return { running: this.#running.size, stuck: asleep ? ['all', ...silent] : silent }
  }

  async #listRecurring(): Promise<void> {
    const { db, now } = this.#given
    for (const [kind, { everyMs }] of Object.entries(this.#kinds))
      if (everyMs !== undefined) await enqueueRecurring(db, { kind, everyMs, now: now() })
  }

  async #look(): Promise<void> {
    const { db } = this.#given
    const isSetBack = this.#nowMs() < this.#lookedAt
    this.#lookedAt = this.#nowMs()
    if (isSetBack) await this.#listRecurring()
    await releaseExpired(db, this.#inMs(0))
    while (!this.#stopped) {
      const open = this.#kindsWithRoom()
      if (open.length === 0) return
      const job = await leaseNext(db, open, this.#inMs(0), this.#inMs(LEASE_MS))
      if (!job) return
      this.#begin(job)
    }
  }

  #kindsWithRoom(): string[] {
    const running = [...this.#running.values()].map(({ job }) => job.kind)
    return Object.entries(this.#kinds)
      .filter(([name, { atOnce }]) => running.filter((kind) => kind === name).length < atOnce)
      .map(([name]) => name)
  }

  #begin(job: Job): void {
    const { log, changes } = this.#given
    const one: Running = {
      job,
      kind: this.#kinds[job.kind]!,
      abort: new AbortController(),
      ended: Promise.resolve(),
      heardAt: this.#nowMs(),
    }
    this.#running.set(job.id, one)
    one.ended = this.#work(one)
      .catch((error: unknown) =>
        log.error({ err: error, job: job.kind }, 'the end of a job could not be noted'),
      )
      .finally(() => {
        this.#running.delete(job.id)
        if (job.shopId !== null && one.kind.kept) changes.announce(job.shopId)
        this.check()
      })
  }

  async #work(one: Running): Promise<void> {
    const { db } = this.#given
    const { job, kind } = one
    try {
      const outcome = await kind.run(job, this.#controlOf(one))
      if (kind.everyMs === undefined)
        await finish(db, job, { kept: kind.kept === true, outcome, now: this.#inMs(0) })
      else await rescheduleJob(db, job.id, { dueAt: this.#inMs(kind.everyMs), attempts: 0 })
    } catch (error) {
      await this.#noteFailure(one, error)
    }
  }

  #controlOf(one: Running): JobControl {
    let notedAt = 0
    return {
      signal: one.abort.signal,
      progress: async (done, total) => {
        one.heardAt = this.#nowMs()
        if (notedAt !== 0 && one.heardAt - notedAt < NOTING_MS) return
        notedAt = one.heardAt
        await noteProgress(this.#given.db, one.job.id, done, total)
      },
    }
  }

  async #noteFailure({ job, kind, abort: { signal } }: Running, error: unknown): Promise<void> {
    const { db, log, changes } = this.#given
    const ending = signal.aborted ? (signal.reason as Ending) : null
    const at = { now: this.#inMs(0) }
    if (ending === 'cancelled') return endUndone(db, job.id, 'cancelled', { ...at, error: null })
    // It runs again at the next start; this does not count as an attempt.
    if (ending === 'stopping') return rescheduleJob(db, job.id, { attempts: job.attempts - 1 })
    const refused = error instanceof JobRefused
    const why = refused
      ? error.message
      : ending === 'late'
        ? `no progress for ${kind.quietMs / 1000} seconds`
        : String(error)
    const wait = Math.min(
      kind.everyMs ?? LONGEST_WAIT_MS,
      LONGEST_WAIT_MS,
      FIRST_WAIT_MS * 2 ** (job.attempts - 1),
    )
    const over = (refused || job.attempts >= kind.tries) && kind.everyMs === undefined
    log.error({ err: error, job: job.kind, why, againInSeconds: over ? null : wait / 1000 }, 'job failed')
    if (over) await endUndone(db, job.id, 'failed', { ...at, error: why })
    else await rescheduleJob(db, job.id, { dueAt: this.#inMs(wait), error: why })
    if (over && job.shopId !== null) changes.announce(job.shopId)
  }

  async #renew(): Promise<void> {
    if (this.#running.size === 0) return
    const unwanted = await renewLeases(this.#given.db, [...this.#running.keys()], this.#inMs(LEASE_MS))
    for (const id of unwanted) abort(this.#running.get(id), 'cancelled')
    for (const one of this.#running.values()) if (this.#silentMs(one) > one.kind.quietMs) abort(one, 'late')
  }

  async #allEnded(): Promise<void> {
    await Promise.all([...this.#running.values()].map(({ ended }) => ended))
  }

  #nowMs(): number {
    return this.#given.now().getTime()
  }

  /** The moment in so many milliseconds. */
  #inMs(ms: number): string {
    return new Date(this.#nowMs() + ms).toISOString()
  }

  #silentMs({ heardAt }: Running): number {
    return this.#nowMs() - heardAt
  }
}

const abort = (one: Running | undefined, ending: Ending) => one?.abort.abort(ending)

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

/**
 * Runs the jobs of the job table, with a limit for each kind. Failed jobs run again after growing delays; after the last
 * attempt the reason is stored. The runner renews the leases of its jobs.
 */
export function startJobRunner(
  { db, now, log, changes }: Pick<Services, 'db' | 'now' | 'log' | 'changes'>,
  kinds: JobKinds,
): JobRunner {
  const running = new Map<number, Running>()
  let looking: Promise<void> = listRecurring()
  let stopped = false
  let lookedAt = now().getTime()
  let lookAgain = false

  async function listRecurring(): Promise<void> {
    for (const [kind, { everyMs }] of Object.entries(kinds))
      if (everyMs !== undefined) await enqueueRecurring(db, { kind, everyMs, now: now() })
  }

  const kindsWithRoom = () =>
    Object.entries(kinds)
      .filter(
        ([name, { atOnce }]) => [...running.values()].filter(({ job }) => job.kind === name).length < atOnce,
      )
      .map(([name]) => name)

  async function look(): Promise<void> {
    const isSetBack = now().getTime() < lookedAt
    lookedAt = now().getTime()
    if (isSetBack) await listRecurring()
    await releaseExpired(db, now().toISOString())
    while (!stopped) {
      const open = kindsWithRoom()
      if (open.length === 0) return
      const until = new Date(now().getTime() + LEASE_MS).toISOString()
      const job = await leaseNext(db, open, now().toISOString(), until)
      if (!job) return
      begin(job)
    }
  }

  function check(): void {
    if (stopped) return
    if (lookAgain) return
    lookAgain = true
    looking = looking
      .then(() => {
        lookAgain = false
        return look()
      })
      .catch((error: unknown) => log.error({ err: error }, 'the job list could not be read'))
  }

  function begin(job: Job): void {
    const one: Running = {
      job,
      kind: kinds[job.kind]!,
      abort: new AbortController(),
      ended: Promise.resolve(),
      heardAt: now().getTime(),
    }
    running.set(job.id, one)
    one.ended = work(one)
      .catch((error: unknown) =>
        log.error({ err: error, job: job.kind }, 'the end of a job could not be noted'),
      )
      .finally(() => {
        running.delete(job.id)
        if (job.shopId !== null && one.kind.kept) changes.announce(job.shopId)
        check()
      })
  }

  async function work(one: Running): Promise<void> {
    const { job, kind, abort } = one
    let notedAt = 0
    const control: JobControl = {
      signal: abort.signal,
      progress: async (done, total) => {
        one.heardAt = now().getTime()
        if (notedAt !== 0 && one.heardAt - notedAt < NOTING_MS) return
        notedAt = one.heardAt
        await noteProgress(db, job.id, done, total)
      },
    }
    try {
      const outcome = await kind.run(job, control)
      if (kind.everyMs === undefined)
        await finish(db, job, { kept: kind.kept === true, outcome, now: now().toISOString() })
      else await rescheduleJob(db, job.id, { dueAt: inMs(kind.everyMs), attempts: 0 })
    } catch (error) {
      await noteFailure(one, error)
    }
  }

  async function noteFailure({ job, kind, abort }: Running, error: unknown): Promise<void> {
    const ending = abort.signal.aborted ? (abort.signal.reason as Ending) : null
    const at = { now: now().toISOString() }
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
    else await rescheduleJob(db, job.id, { dueAt: inMs(wait), error: why })
    if (over && job.shopId !== null) changes.announce(job.shopId)
  }

  const inMs = (ms: number) => new Date(now().getTime() + ms).toISOString()
  const isSilent = ({ kind, heardAt }: Running) => now().getTime() - heardAt > kind.quietMs

  async function renew(): Promise<void> {
    if (running.size === 0) return
    const unwanted = await renewLeases(db, [...running.keys()], inMs(LEASE_MS))
    for (const id of unwanted) running.get(id)?.abort.abort('cancelled' satisfies Ending)
    for (const one of running.values()) if (isSilent(one)) one.abort.abort('late' satisfies Ending)
  }

  const timer = setInterval(() => {
    check()
    renew().catch((error: unknown) => log.error({ err: error }, 'the leases of jobs could not be renewed'))
  }, POLL_MS)
  timer.unref()
  check()
  return {
    check,
    drain: async () => {
      do {
        check()
        await looking
        await Promise.all([...running.values()].map(({ ended }) => ended))
        await looking
      } while (running.size > 0)
    },
    cancel: (id) => running.get(id)?.abort.abort('cancelled' satisfies Ending),
    stop: async () => {
      stopped = true
      clearInterval(timer)
      await looking
      for (const { abort } of running.values()) abort.abort('stopping' satisfies Ending)
      await Promise.all([...running.values()].map(({ ended }) => ended))
    },
    state: () => {
      const asleep = now().getTime() - lookedAt > ASLEEP_MS
      const silent = [...running.values()]
        // Gives aborted jobs time to end.
        .filter(({ kind, heardAt }) => now().getTime() - heardAt > kind.quietMs + ASLEEP_MS)
        .map(({ job }) => job.kind)
      return { running: running.size, stuck: asleep ? ['all', ...silent] : silent }
    },
  }
}

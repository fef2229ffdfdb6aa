import type { Services } from '../services'
import { finish, leaseNext, postpone, type Job } from './queue'

const LEASE_MS = 60_000
const POLL_MS = 1000
const FIRST_WAIT_MS = 2000
const LONGEST_WAIT_MS = 3_600_000

export type Work = (job: Job) => Promise<void>

export interface JobRunner {
  /** Looks for due work now instead of at the next turn. */
  wake: () => void
  /** Resolves when nothing is due any more. */
  drain: () => Promise<void>
  stop: () => Promise<void>
  /** When the runner last looked, as epoch milliseconds. */
  lastTurn: () => number
}

/** Works through the job table, one job at a time; what fails is tried again after growing waits. */
export function startJobRunner(
  { db, now, log }: Pick<Services, 'db' | 'now' | 'log'>,
  kinds: Record<string, Work>,
): JobRunner {
  let turn: Promise<void> = Promise.resolve()
  let stopped = false
  let looked = now().getTime()

  async function workThrough(): Promise<void> {
    while (!stopped) {
      looked = now().getTime()
      const job = await leaseNext(
        db,
        Object.keys(kinds),
        now().toISOString(),
        new Date(looked + LEASE_MS).toISOString(),
      )
      if (!job) return
      try {
        await kinds[job.kind]!(job)
        await finish(db, job)
      } catch (error) {
        const wait = Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (job.attempts - 1))
        await postpone(db, job, new Date(now().getTime() + wait).toISOString(), String(error))
        log.error({ err: error, job: job.kind, againInSeconds: wait / 1000 }, 'job failed')
      }
    }
  }

  function wake(): void {
    turn = turn
      .then(workThrough)
      .catch((error: unknown) => log.error({ err: error }, 'the job list could not be read'))
  }

  const timer = setInterval(wake, POLL_MS)
  timer.unref()
  wake()
  return {
    wake,
    drain: () => {
      wake()
      return turn
    },
    stop: async () => {
      stopped = true
      clearInterval(timer)
      await turn
    },
    lastTurn: () => looked,
  }
}

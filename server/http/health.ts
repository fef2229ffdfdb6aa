import type { IncomingMessage, ServerResponse } from 'node:http'
import type { JobRunner } from '../jobs/runner'
import type { StorageState } from '../storageCheck'

const JOBS_ASLEEP_MS = 30_000

interface Health {
  checkStorage: () => Promise<StorageState>
  jobs: Pick<JobRunner, 'lastTurn'>
  now: () => Date
  faults: () => number
  version: string
}

/**
 * `/healthz`: 200 when something can be stored and the job runner has looked lately; else 503, naming which of them does
 * not work and why.
 */
export function answerHealth(
  req: IncomingMessage,
  res: ServerResponse,
  { checkStorage, jobs, now, faults, version }: Health,
): boolean {
  if (req.url?.split('?', 1)[0] !== '/healthz') return false
  const jobsRun = Math.abs(now().getTime() - jobs.lastTurn()) < JOBS_ASLEEP_MS
  checkStorage()
    .then((storage) => {
      const healthy = storage === 'ok' && jobsRun
      res.writeHead(healthy ? 200 : 503, {
        'Content-Type': 'application/json',
        'Cache-Control': 'no-store',
        'X-Content-Type-Options': 'nosniff',
      })
      res.end(
        JSON.stringify({
          status: healthy ? 'ok' : 'failing',
          database: storage === 'ok',
          storage,
          jobs: jobsRun,
          faults: faults(),
          version,
        }),
      )
    })
    .catch((error: unknown) => res.destroy(error as Error))
  return true
}

import type { IncomingMessage, ServerResponse } from 'node:http'
import type { JobRunner } from '../jobs/runner'
import type { StorageState } from '../storageCheck'

interface Health {
  checkStorage: () => Promise<StorageState>
  jobs: Pick<JobRunner, 'state'>
  faults: () => number
  heldMs: () => number
  version: string
}

/**
 * `/healthz`: 200 if the database can be written to and no job is stuck; otherwise 503 with the failing part
 * and the reason. A long job that reports progress is not stuck.
 */
export function answerHealth(
  req: IncomingMessage,
  res: ServerResponse,
  { checkStorage, jobs, faults, heldMs, version }: Health,
): boolean {
  if (req.url?.split('?', 1)[0] !== '/healthz') return false
  const { running, stuck } = jobs.state()
  checkStorage()
    .then((storage) => {
      const healthy = storage === 'ok' && stuck.length === 0
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
          jobs: stuck.length === 0,
          running,
          stuck,
          faults: faults(),
          heldMs: heldMs(),
          version,
        }),
      )
    })
    .catch((error: unknown) => res.destroy(error instanceof Error ? error : undefined))
  return true
}

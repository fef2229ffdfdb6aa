import type { IncomingMessage, ServerResponse } from 'node:http'
import type { Knex } from 'knex'
import type { JobRunner } from '../jobs/runner'

const JOBS_ASLEEP_MS = 30_000

/** `/healthz`: 200 when the database answers and the job runner has looked lately. */
export function answerHealth(
  req: IncomingMessage,
  res: ServerResponse,
  {
    db,
    jobs,
    now,
    version,
  }: { db: Knex; jobs: Pick<JobRunner, 'lastTurn'>; now: () => Date; version: string },
): boolean {
  if (req.url?.split('?', 1)[0] !== '/healthz') return false
  const jobsRun = now().getTime() - jobs.lastTurn() < JOBS_ASLEEP_MS
  db.raw('SELECT 1')
    .then(
      () => true,
      () => false,
    )
    .then((database) => {
      const healthy = database && jobsRun
      res.writeHead(healthy ? 200 : 503, { 'Content-Type': 'application/json', 'Cache-Control': 'no-store' })
      res.end(JSON.stringify({ status: healthy ? 'ok' : 'failing', database, jobs: jobsRun, version }))
    })
    .catch((error: unknown) => res.destroy(error as Error))
  return true
}

import { z } from 'zod'
import { blob, choice, flag, id, integer, json, text } from '../columnDefinition'
import { created, table } from '../table'

export const job = table('job', {
  id: id(),
  /** Null for jobs of the installation. */
  shopId: integer().refers('shop').null(),
  kind: text(),
  uniqueKey: text().unique(),
  payload: json(z.unknown()),
  generation: integer().initially(1),
  state: choice('due', 'running', 'done', 'failed', 'cancelled').initially('due'),
  dueAt: text(),
  everyMs: integer().null(),
  attempts: integer().initially(0),
  leasedUntil: text().null(),
  cancelAsked: flag().initially(false),
  done: integer().initially(0),
  total: integer().null(),
  error: text().null(),
  result: json(z.record(z.string(), z.unknown())).null(),
  createdAt: text(),
  endedAt: text().null(),
})

export const storageTrial = table('storage_trial', {
  id: id(),
  bytes: blob(),
})

/** Work that runs after a request. */
export const jobs = [
  created(job),
  `CREATE INDEX job_by_due ON job (kind, due_at) WHERE state = 'due'`,
  `CREATE INDEX job_by_lease ON job (leased_until) WHERE state = 'running'`,
  `CREATE INDEX job_by_shop ON job (shop_id, id)`,
  `CREATE INDEX job_by_end ON job (ended_at) WHERE ended_at IS NOT NULL`,

  created(storageTrial),
]

export interface Job {
  id: number
  /** Null for jobs of the installation. */
  shopId: number | null
  kind: string
  /** Can contain the progress from which the job can continue. */
  payload: unknown
  generation: number
  /** Including this one. */
  attempts: number
}

export interface JobControl {
  /** Aborted when the job is cancelled, the application stops, or the job takes too long. */
  signal: AbortSignal
  /** @param total null if unknown */
  progress: (done: number, total: number | null) => Promise<void>
}

/** The job failed for good. The message is a message code. */
export class JobRefused extends Error {}

export type Outcome = Record<string, unknown> | undefined

export interface JobKind {
  atOnce: number
  tries: number
  /** Maximum time without progress. */
  quietMs: number
  /** For recurring jobs: the delay after its end, in milliseconds. */
  everyMs?: number
  /** Whether the row stays with its outcome. */
  kept?: boolean
  run: (job: Job, control: JobControl) => Promise<Outcome>
}

/** `jobs.keeps` in the catalogue says for each what stays. */
export const cancellableKinds = ['importOrders']

export type JobKinds = Record<string, JobKind>

export interface NewJob {
  shopId: number | null
  kind: string
  /** See `enqueue`. */
  uniqueKey: string
  payload: Record<string, unknown>
  dueAt: string
}

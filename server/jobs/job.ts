/** Work that is a row of the job table until it is done. */
export interface Job {
  id: number
  /** Null for work that is the installation's. */
  shopId: number | null
  kind: string
  /** JSON; a job that goes on after a stop keeps in it how far it has come. */
  payload: string
  generation: number
  /** How often it was begun, this time included. */
  attempts: number
}

/** What work can say and hear while it runs. */
export interface JobControl {
  /** Aborted when somebody cancels the job, the application stops, or its time is over. */
  signal: AbortSignal
  /**
   * Notes how far the work has come, for the page of jobs.
   * @param total null while nobody knows
   */
  progress: (done: number, total: number | null) => Promise<void>
}

/** Thrown by work that no further try can bring to its end; the message says why, in plain words. */
export class JobRefused extends Error {}

/** What is kept of a job that has ended well; undefined where nobody looks for it. */
export type Outcome = Record<string, unknown> | undefined

export interface JobKind {
  /** How many run at the same time. */
  atOnce: number
  /** How often one is begun before it has failed for good. */
  tries: number
  /** The longest that one may run without a word of progress, in milliseconds. */
  quietMs: number
  /** A recurring job: how long after its end it is due again, in milliseconds. */
  everyMs?: number
  /** Whether the row stays when it has ended, with its outcome. */
  kept?: boolean
  run: (job: Job, control: JobControl) => Promise<Outcome>
}

/** Kinds that an owner can cancel; the catalogue says under each name what then stays. */
export const cancellableKinds = ['importOrders']

export type JobKinds = Record<string, JobKind>

export interface NewJob {
  shopId: number | null
  kind: string
  /** Work under the same key is done once; asked for again while it is being done, it is done once more. */
  uniqueKey: string
  payload: Record<string, unknown>
  dueAt: string
}

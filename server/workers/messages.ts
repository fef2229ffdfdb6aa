import type { ChangeTopic } from '../changes'
import type { Prepared } from '../http/prepared'
import type { Published } from '../publishing/published'
import type { Services } from '../services'
import type { TaskName, Tasks } from './workers'

/** The start message of a thread. */
export interface ThreadSettings {
  databaseFile: string
  mediaFolder: string
  publicUrl: string
  behaviours: Services['behaviours']
  sites: string | null
  turns: SharedArrayBuffer
  /** Whether nobody waits for its results, so that its priority can be low. */
  isPatient: boolean
}

/** A task for a thread. */
export interface Asked<N extends TaskName> {
  name: N
  input: Tasks[N]['input']
  /** Becomes 1 when the task should stop. */
  stop: Int32Array
  task: number
}

/** Messages of a thread to the main thread. */
export type Said =
  | { kind: 'announce'; shopId: number; topic?: ChangeTopic }
  | { kind: 'wakeJobs' }
  | { kind: 'published'; display: Published; json: Prepared }
  | { kind: 'begun'; task: number }
  | { kind: 'progress'; task: number; done: number; total: number | null }

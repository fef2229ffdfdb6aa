import type { Published } from '../publishing/published'
import type { Services } from '../services'
import type { TaskName, Tasks } from './workers'

/** What a thread is told when it starts. */
export interface ThreadSettings {
  databaseFile: string
  mediaFolder: string
  publicUrl: string
  behaviours: Services['behaviours']
  turns: SharedArrayBuffer
  /** Whether nobody waits for its answers, so that others have the processor first. */
  isPatient: boolean
}

/** A piece of work for a thread. */
export interface Asked<N extends TaskName> {
  name: N
  input: Tasks[N]['input']
  /** Becomes 1 when the work is to end. */
  stop: Int32Array
  task: number
}

/** What a thread says to the main one. */
export type Said =
  | { kind: 'announce'; shopId: number }
  | { kind: 'wakeJobs' }
  | { kind: 'published'; display: Published }
  | { kind: 'progress'; task: number; done: number; total: number | null }

import type { Log } from './log'

/** Logs and counts unexpected errors; the process continues. */
export interface Faults {
  note: (error: unknown) => void
  /** The number since the start. */
  count: () => number
}

export function buildFaults(log: Log): Faults {
  let count = 0
  return {
    note: (error) => {
      count++
      log.error({ err: error }, 'fault')
    },
    count: () => count,
  }
}

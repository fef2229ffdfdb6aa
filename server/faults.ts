import type { Log } from './log'

/** What went wrong without anybody expecting it: logged and counted, and the process goes on. */
export interface Faults {
  note: (error: unknown) => void
  /** How many there were since the start. */
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

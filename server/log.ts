import { pino, type DestinationStream, type Logger } from 'pino'

export type Log = Logger

/**
 * The structured log: one JSON object per line. `time` is UTC ISO-8601.
 * @param destination where lines go; standard output by default
 */
export function buildLog(level: string, destination?: DestinationStream): Log {
  return pino(
    { level, base: null, timestamp: pino.stdTimeFunctions.isoTime },
    // Buffered: a line for each request must not cost a system call each.
    destination ?? pino.destination({ dest: 1, sync: false, minLength: 4096 }),
  )
}

/** A log that keeps nothing. */
export const silentLog: Log = pino({ level: 'silent' })

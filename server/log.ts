import { errorCode } from '../core/formats/errorCode'
import { writeSync } from 'node:fs'
import { pino, type DestinationStream, type Logger } from 'pino'

export type Log = Logger

/**
 * The structured log: one JSON object per line. `time` is in milliseconds since 1970.
 * @param destination standard output by default
 */
export function buildLog(level: string, destination: DestinationStream = bufferedOutput(1)): Log {
  return pino({ level, base: null, timestamp: pino.stdTimeFunctions.epochTime }, destination)
}

/** A log that discards everything. */
export const silentLog: Log = pino({ level: 'silent' })

const MAX_BUFFERED = 16_000
const MAX_KEPT = 1_000_000
const MAX_WAIT_MS = 500

/**
 * Writes lines in batches, because a system call for each request would take longer than an answer from
 * memory. The buffer is written after at most half a second and at the end of the process.
 */
function bufferedOutput(file: number): DestinationStream {
  let lines = ''
  let timer: NodeJS.Timeout | null = null
  const flush = () => {
    timer = null
    const text = lines
    lines = ''
    try {
      writeSync(file, text)
    } catch (error) {
      // A slow or closed reader must not block the application.
      if (errorCode(error) === 'EAGAIN' && text.length < MAX_KEPT) lines = text
    }
  }
  process.on('exit', flush)
  return {
    write: (line: string) => {
      lines += line
      if (lines.length >= MAX_BUFFERED) flush()
      else timer ??= setTimeout(flush, MAX_WAIT_MS)
    },
  }
}

import { errorCode } from '../../core/formats/errorCode'
import type { Turns } from './turns'

/** Another program locks the database, the disk is full, or it can't be written to. */
export type StorageFault = 'busy' | 'full' | 'unwritable'

/** Null if an error has another cause. */
export function storageFault(error: unknown): StorageFault | null {
  const code = errorCode(error)
  const isTimeout = error instanceof Error && error.name === 'KnexTimeoutError'
  if (isTimeout || isLocked(code)) return 'busy'
  if (code === undefined) return null
  if (/^(SQLITE_FULL|ENOSPC|EDQUOT)/.test(code)) return 'full'
  return /^(SQLITE_(IOERR|READONLY|CANTOPEN)|EROFS|EACCES|EIO)/.test(code) ? 'unwritable' : null
}

const isLocked = (code: unknown) => typeof code === 'string' && /^SQLITE_(BUSY|LOCKED)/.test(code)

const PATIENCE_MS = 5000
/** Our own threads lock the database for milliseconds; other programs, such as a backup, for longer. */
const SHORT_WAIT_MS = 3
const SHORT_WAITS_MS = 60
const LONGEST_WAIT_MS = 200

/**
 * Retries while another connection locks the database. It waits on a timer, because SQLite's own
 * `busy_timeout` would block the process. Long work in other threads gives way meanwhile.
 * @throws the error of the last attempt
 */
export async function retryWhileBusy<T>(
  attempt: () => Promise<T>,
  { patienceMs = PATIENCE_MS, turns }: { patienceMs?: number; turns?: Turns | undefined } = {},
): Promise<T> {
  let waited = 0
  let endTurn: (() => void) | undefined
  try {
    for (let wait = SHORT_WAIT_MS; ;) {
      try {
        return await attempt()
      } catch (error) {
        if (!isLocked(errorCode(error)) || waited >= patienceMs) throw error
      }
      endTurn ??= turns?.begin()
      await new Promise((resolve) => setTimeout(resolve, wait))
      waited += wait
      if (waited >= SHORT_WAITS_MS) wait = Math.min(wait * 2, LONGEST_WAIT_MS)
    }
  } finally {
    endTurn?.()
  }
}

import type { Turns } from './turns'

/** Why something could not be stored: another program holds the database, there is no room, or the disk takes nothing. */
export type StorageFault = 'busy' | 'full' | 'unwritable'

/** What an error says of the storage; null when it is about something else. */
export function storageFault(error: unknown): StorageFault | null {
  const { code, name } = (error ?? {}) as { code?: unknown; name?: unknown }
  if (name === 'KnexTimeoutError' || isLocked(code)) return 'busy'
  if (typeof code !== 'string') return null
  if (/^(SQLITE_FULL|ENOSPC|EDQUOT)/.test(code)) return 'full'
  return /^(SQLITE_(IOERR|READONLY|CANTOPEN)|EROFS|EACCES|EIO)/.test(code) ? 'unwritable' : null
}

const isLocked = (code: unknown) => typeof code === 'string' && /^SQLITE_(BUSY|LOCKED)/.test(code)

const PATIENCE_MS = 5000
/** Our own threads hold the database for some milliseconds; others, such as a backup, for longer. */
const SHORT_WAIT_MS = 3
const SHORT_WAITS_MS = 60
const LONGEST_WAIT_MS = 200

/**
 * Tries again while another connection holds the database. The wait is on a timer, so that everything else goes on;
 * SQLite's own `busy_timeout` would stop the whole process. Long work in other threads lets it go first.
 * @throws what the last try threw
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
        if (!isLocked((error as { code?: unknown }).code) || waited >= patienceMs) throw error
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

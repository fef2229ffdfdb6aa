import { readlinkSync } from 'node:fs'
import { constants, setPriority } from 'node:os'

/** Lowers the priority of this thread. Changes nothing where a thread has no number of its own. */
export function takeLowPriority(): void {
  try {
    const thread = Number(/\/task\/(\d+)$/.exec(readlinkSync('/proc/thread-self'))?.[1])
    if (thread > 0) setPriority(thread, constants.priority.PRIORITY_LOW)
  } catch {
    // Not Linux, or not permitted: the thread keeps its normal priority.
  }
}

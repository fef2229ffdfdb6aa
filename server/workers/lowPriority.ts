import { readlinkSync } from 'node:fs'
import { constants, setPriority } from 'node:os'

/** Lets other threads have the processor first. Where a thread can't be named by its own number, nothing changes. */
export function takeLowPriority(): void {
  try {
    const thread = Number(/\/task\/(\d+)$/.exec(readlinkSync('/proc/thread-self'))?.[1])
    if (thread > 0) setPriority(thread, constants.priority.PRIORITY_LOW)
  } catch {
    // Not Linux, or not allowed: long work then takes its share of the processor like everything else.
  }
}

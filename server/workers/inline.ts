import type { Services } from '../services'
import { loadTask } from './tasks'
import type { Workers } from './workers'

/** Runs tasks in the calling thread: for commands, and for tests with a database in memory. */
export function inlineWorkers(services: () => Services): Workers {
  return {
    run: async (name, input, { signal, progress } = {}) => {
      const task = await loadTask[name]()
      return task(services(), input, {
        isStopped: () => signal?.aborted === true,
        progress: (done, total) => progress?.(done, total),
        giveWay: () => undefined,
      })
    },
    close: async () => undefined,
  }
}

/** Runs work on the same key one after the other, in the order in which it was asked for. */
export function buildTurns(): <T>(key: string, work: () => Promise<T>) => Promise<T> {
  const last = new Map<string, Promise<unknown>>()
  return async (key, work) => {
    const before = last.get(key)
    const own = (before ?? Promise.resolve()).then(work, work)
    last.set(key, own)
    try {
      return await own
    } finally {
      if (last.get(key) === own) last.delete(key)
    }
  }
}

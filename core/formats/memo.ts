const kept = new WeakMap<object, Map<string, unknown>>()

/** What was worked out of an object before, under a key, for as long as the object itself is kept by somebody. */
export function memoOf<T>(of: object, key: string, make: () => T): T {
  const known = kept.get(of) ?? new Map<string, unknown>()
  kept.set(of, known)
  if (!known.has(key)) known.set(key, make())
  return known.get(key) as T
}

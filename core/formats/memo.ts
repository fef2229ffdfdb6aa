const kept = new WeakMap<object, Map<string, unknown>>()

/** Caches values computed from an object, for the object's lifetime. */
export function memoOf<T>(of: object, key: string, make: () => T): T {
  const known = kept.get(of) ?? new Map<string, unknown>()
  kept.set(of, known)
  if (!known.has(key)) known.set(key, make())
  return known.get(key) as T
}

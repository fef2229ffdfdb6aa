type Groups = Record<string, unknown>

/** The settings that differ, as `group.name`, so that typing in one field is one undo step. */
export function changedKeys(before: object, after: object): string {
  const old = before as Groups
  const changed = (a: unknown, b: unknown, path: string): string[] => {
    if (JSON.stringify(a) === JSON.stringify(b)) return []
    if (!isGroup(a) || !isGroup(b) || path.includes('.')) return [path]
    return Object.keys(b).flatMap((key) => changed(a[key], b[key], `${path}.${key}`))
  }
  return Object.keys(after)
    .flatMap((key) => changed(old[key], (after as Groups)[key], key))
    .join()
}

const isGroup = (value: unknown): value is Groups =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

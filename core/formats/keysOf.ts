/** The names of the properties of an object that has no others than its type says. */
export const keysOf = <T extends object>(object: T): (keyof T & string)[] =>
  Object.keys(object) as (keyof T & string)[]

/** An object with a value for each of some keys. */
export const recordOf = <K extends string, V>(keys: readonly K[], valueOf: (key: K) => V): Record<K, V> =>
  Object.fromEntries(keys.map((key) => [key, valueOf(key)])) as Record<K, V>

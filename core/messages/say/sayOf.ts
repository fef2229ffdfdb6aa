import { buildCatalogue } from '../translate'
import type { TextsByKey, Translate } from '../typedKeys'

const english = buildCatalogue('en')

/**
 * Adds texts to the English catalogue and returns a function that knows their keys. A page loads only the
 * texts of the functions that it imports.
 */
export function sayOf<T extends object[]>(
  ...texts: T
): Translate<TextsByKey<UnionToIntersection<T[number]>>> {
  for (const some of texts) english.add(some)
  return english.translate
}

type UnionToIntersection<T> = (T extends unknown ? (each: T) => void : never) extends (all: infer All) => void
  ? All
  : never

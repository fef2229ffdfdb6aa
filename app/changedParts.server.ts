import { createHash } from 'node:crypto'
import { z } from 'zod'

const marksSchema = z.record(z.string().max(40), z.string().max(20))
export type Marks = z.infer<typeof marksSchema>

/** A text as long as a mark stands for itself. */
const MARK_LENGTH = 16
const markOf = (value: unknown): string =>
  typeof value === 'string' && value.length <= MARK_LENGTH
    ? value
    : createHash('sha256')
        .update(JSON.stringify(value) ?? '')
        .digest('base64url')
        .slice(0, MARK_LENGTH)

/** A short text for each part of a page's data, which changes with it. */
export const marksOf = (view: object): Marks =>
  Object.fromEntries(Object.entries(view).map(([part, value]) => [part, markOf(value)]))

/** The parts that differ from those that a browser has; those that the view is without stay as they are there. */
export function changedSince(view: object, known: Marks): { changed: object; marks: Marks } {
  const marks = { ...known, ...marksOf(view) }
  const changed = Object.entries(view).filter(([part]) => marks[part] !== known[part])
  return { changed: Object.fromEntries(changed), marks }
}

/** The marks of what a browser has, from JSON; anything else stands for none. */
export function readMarks(json: string | null): Marks {
  try {
    return marksSchema.catch({}).parse(JSON.parse(json ?? '{}'))
  } catch {
    return {}
  }
}

import { createHash } from 'node:crypto'
import { z } from 'zod'

const marksSchema = z.record(z.string().max(40), z.string().max(20))
export type Marks = z.infer<typeof marksSchema>

/** A short text for each part of a page's data, which changes with it. */
export const marksOf = (view: object): Marks =>
  Object.fromEntries(
    Object.entries(view).map(([part, value]) => [
      part,
      createHash('sha256')
        .update(JSON.stringify(value) ?? '')
        .digest('base64url')
        .slice(0, 12),
    ]),
  )

/**
 * The parts that differ from those that a browser has.
 * @param had its marks as JSON; anything else stands for none
 */
export function changedSince(view: object, had: string | null): { changed: object; marks: Marks } {
  const known = readMarks(had)
  const marks = marksOf(view)
  const changed = Object.entries(view).filter(([part]) => marks[part] !== known[part])
  return { changed: Object.fromEntries(changed), marks }
}

function readMarks(json: string | null): Marks {
  try {
    return marksSchema.catch({}).parse(JSON.parse(json ?? '{}'))
  } catch {
    return {}
  }
}

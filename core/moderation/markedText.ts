import type { Place, Words } from './signal'

/** A range of text with the numbers of its signals. */
export interface Run {
  text: string
  marks: number[]
}

/**
 * Splits a text at the places of signals.
 * @param places each with the number of its signal, from 1
 */
export function markedText(text: string, field: keyof Words, places: (Place & { mark: number })[]): Run[] {
  const here = places.filter((place) => place.field === field && place.start < place.end)
  const cuts = [...new Set([0, text.length, ...here.flatMap(({ start, end }) => [start, end])])]
    .filter((cut) => cut >= 0 && cut <= text.length)
    .sort((a, b) => a - b)
  return cuts.slice(1).map((end, i) => {
    const start = cuts[i]!
    const marks = here.filter((place) => place.start <= start && end <= place.end).map((place) => place.mark)
    return { text: text.slice(start, end), marks: [...new Set(marks)] }
  })
}

import type { Found } from './found'

/** A line of the pasted text and where it stands there. */
export interface Line extends Found {
  text: string
}

export function linesOf(text: string): Line[] {
  let start = 0
  return text.split('\n').map((line) => {
    const found = { text: line.replace(/\r$/, ''), start, end: start + line.replace(/\r$/, '').length }
    start += line.length + 1
    return found
  })
}

/** A part of a line, without the spaces around it. */
export function partOf(line: Line, from: number, to = line.text.length): Line {
  const inner = line.text.slice(from, to)
  const start = line.start + from + (inner.length - inner.trimStart().length)
  const text = inner.trim()
  return { text, start, end: start + text.length }
}

export const isBlank = (line: Line) => line.text.trim() === ''

/** Without the blank lines at both ends. */
export function trimBlank(lines: Line[]): Line[] {
  const first = lines.findIndex((line) => !isBlank(line))
  if (first < 0) return []
  return lines.slice(first, lines.findLastIndex((line) => !isBlank(line)) + 1)
}

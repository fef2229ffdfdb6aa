import type { Found } from './found'

/** A line of the pasted text with its place. */
export interface Line extends Found {
  text: string
}

/** A gap of this length splits a line, because many patterns would try each of its spaces. */
const lineEnd = /\r?\n|[^\S\n]{100,}/g

export function linesOf(text: string): Line[] {
  const lines: Line[] = []
  let start = 0
  for (const { index, 0: gap } of text.matchAll(lineEnd)) {
    lines.push({ text: text.slice(start, index), start, end: index })
    start = index + gap.length
  }
  return [...lines, { text: text.slice(start), start, end: text.length }]
}

/** A part of a line, trimmed. */
export function partOf(line: Line, from: number, to = line.text.length): Line {
  const inner = line.text.slice(from, to)
  const start = line.start + from + (inner.length - inner.trimStart().length)
  const text = inner.trim()
  return { text, start, end: start + text.length }
}

export const isBlank = (line: Line) => line.text.trim() === ''

/** Without blank lines at both ends. */
export function trimBlank(lines: Line[]): Line[] {
  const first = lines.findIndex((line) => !isBlank(line))
  if (first < 0) return []
  return lines.slice(first, lines.findLastIndex((line) => !isBlank(line)) + 1)
}

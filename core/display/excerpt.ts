/** Paragraphs cut in two where a number of words is reached; the second half is empty when all fit. */
export interface Excerpt {
  head: string[]
  rest: string[]
  /** Whether the cut goes through a paragraph, so that the first of `rest` goes on with the last of `head`. */
  within: boolean
}

/** A cut that leaves fewer words than this behind is not worth a click. */
const WORTH_A_CLICK = 8

/** Shortens to a number of words, 0 for none; at the end of a sentence when one ends near there. */
export function excerptOf(paragraphs: string[], words: number): Excerpt {
  const whole: Excerpt = { head: paragraphs, rest: [], within: false }
  const counts = paragraphs.map((paragraph) => [...paragraph.matchAll(/\S+/gu)].length)
  const total = counts.reduce((sum, count) => sum + count, 0)
  if (words === 0 || total < words + WORTH_A_CLICK) return whole
  let left = words
  for (const [i, paragraph] of paragraphs.entries()) {
    if (counts[i]! < left) {
      left -= counts[i]!
      continue
    }
    const ends = [...paragraph.matchAll(/\S+/gu)].map((found) => found.index + found[0].length)
    const sentenceEnd = ends
      .slice(Math.ceil(left * 0.7) - 1, left)
      .findLast((end) => /[.!?…]$/u.test(paragraph.slice(0, end)))
    const at = sentenceEnd ?? ends[left - 1]!
    const [head, rest] = [paragraph.slice(0, at), paragraph.slice(at).trim()]
    return {
      head: [...paragraphs.slice(0, i), head],
      rest: [rest, ...paragraphs.slice(i + 1)].filter(Boolean),
      within: rest !== '',
    }
  }
  return whole
}

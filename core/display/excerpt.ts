/** Paragraphs, split after a number of words; `rest` is empty if nothing is cut. */
export interface Excerpt {
  head: string[]
  rest: string[]
  /** Whether the cut is within a paragraph, which then continues in `rest`. */
  within: boolean
}

/** A shorter rest is not worth a click. */
const WORTH_A_CLICK = 8

/** Cuts after a number of words (0 for unlimited), at the end of a sentence if one is near. */
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

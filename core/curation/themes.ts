import { normalizeText } from '../formats/normalizeText'

const MIN_LETTERS = 4
/** A word of a single review is no theme, and one of nearly every review tells nothing. */
const MIN_REVIEWS = 3
const MAX_SHARE = 0.4
const MAX_THEMES = 16

interface Themes {
  /** Each as it is written most often, the widest first. */
  names: string[]
  /** For each text, the positions of its themes in `names`. */
  of: number[][]
}

/**
 * What some texts talk about: words of content that several texts share. Words are chosen one after the other so that
 * each covers the most texts that no chosen word covers yet (greedy maximum coverage, Nemhauser, Wolsey and Fisher
 * 1978); equal ones in the order of the alphabet. Plural endings in -s are folded.
 * @param isCommon whether a normalized word says nothing of what a text is about, such as "the"
 */
export function themesOf(texts: string[], isCommon: (word: string) => boolean): Themes {
  const spellings = new Map<string, Map<string, number>>()
  const stemsOf = texts.map((text) => {
    const stems = new Set<string>()
    for (const [word] of text.matchAll(/\p{L}+/gu)) {
      const normal = normalizeText(word)
      if (normal.length < MIN_LETTERS || isCommon(normal)) continue
      const stem = normal.replace(/s$/, '')
      stems.add(stem)
      const spelt = spellings.get(stem) ?? new Map<string, number>()
      spellings.set(stem, spelt)
      const lower = word.toLowerCase()
      spelt.set(lower, (spelt.get(lower) ?? 0) + 1)
    }
    return stems
  })
  const having = new Map<string, number[]>()
  stemsOf.forEach((stems, i) => {
    for (const stem of stems) having.set(stem, [...(having.get(stem) ?? []), i])
  })
  const left = new Map(
    [...having]
      .filter(([, inTexts]) => inTexts.length >= MIN_REVIEWS && inTexts.length <= MAX_SHARE * texts.length)
      .toSorted(([a], [b]) => (a < b ? -1 : 1)),
  )
  const covered = new Set<number>()
  const chosen: string[] = []
  while (chosen.length < MAX_THEMES) {
    let [best, most] = ['', 0]
    for (const [stem, inTexts] of left) {
      const fresh = inTexts.filter((i) => !covered.has(i)).length
      if (fresh > most) [best, most] = [stem, fresh]
    }
    if (most === 0) break
    for (const i of left.get(best)!) covered.add(i)
    left.delete(best)
    chosen.push(best)
  }
  return {
    names: chosen.map((stem) => mostFrequent(spellings.get(stem)!)),
    of: stemsOf.map((stems) => chosen.flatMap((stem, i) => (stems.has(stem) ? [i] : []))),
  }
}

const mostFrequent = (spelt: Map<string, number>) =>
  [...spelt].toSorted(([a, m], [b, n]) => n - m || (a < b ? -1 : 1))[0]![0]

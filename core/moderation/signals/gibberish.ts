import { messageCode } from '../../messages/code'
import { wordTags } from '../plainWord'
import { hasTag, placeOf, type Reading, type ReadWord } from '../reading'
import { quoted, withoutOverlaps, type Signal } from '../signal'
import type { WordingModel } from '../wording/model'

const ALL_GIBBERISH = 76
const SOME_GIBBERISH = 24
/** Shares of the letters from which a text is gibberish, or has some in it. */
const ALL_FROM = 0.5
const SOME_FROM = 0.2
const FEWEST_LETTERS = 7
/** How often one word may follow itself; "very very very good" is warm, twelve times "good" is not. */
const REPEATED_FROM = 5

/** Words that no language has: keys in a row, letters that cannot be said, one bit over and over. */
export function gibberishSignal(reading: Reading, model: WordingModel): Signal | null {
  const { words } = reading
  const repeated = repeatedWords(words)
  if (repeated.length === 0 && !hasTag(reading, wordTags.gibberish)) return null
  const odd = words.filter(({ plain, tags }) => tags & wordTags.gibberish && !model.knows(plain))
  const letters = (all: ReadWord[]) => all.reduce((sum, { plain }) => sum + plain.length, 0)
  const all = letters(words)
  const oddLetters = letters([...new Set([...odd, ...repeated])])
  if (oddLetters < FEWEST_LETTERS || oddLetters / all < SOME_FROM) return null
  const places = withoutOverlaps([...odd, ...repeated].map(placeOf))
  return {
    kind: 'gibberish',
    points: oddLetters / all >= ALL_FROM ? ALL_GIBBERISH : SOME_GIBBERISH,
    headline: messageCode('signal.gibberish'),
    detail: quoted(reading, places),
    places,
  }
}

/** Words that follow themselves again and again. */
function repeatedWords(words: ReadWord[]): ReadWord[] {
  const found: ReadWord[] = []
  for (let from = 0; from < words.length;) {
    let to = from + 1
    while (to < words.length && words[to]!.plain === words[from]!.plain) to++
    if (to - from >= REPEATED_FROM) found.push(...words.slice(from, to))
    from = to
  }
  return found
}

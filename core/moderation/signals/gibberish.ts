import { messageCode } from '../../messages/code'
import { wordTags } from '../plainWord'
import { hasTag, placeOf, type Reading, type ReadWord } from '../reading'
import { quoted, withoutOverlaps, type Signal } from '../signal'

const ALL_GIBBERISH = 76
const SOME_GIBBERISH = 24
/** The shares of letters from which a text is gibberish, or contains some. */
const ALL_FROM = 0.5
const SOME_FROM = 0.2
const FEWEST_LETTERS = 7
/** How often a word may be repeated: "very very very good" is warm, twelve times "good" isn't. */
const REPEATED_FROM = 5

/** Words of no language: neighbouring keys, unpronounceable letters, repeated parts. */
export function gibberishSignal(reading: Reading): Signal | null {
  const { words } = reading
  const repeated = repeatedWords(words)
  if (repeated.length === 0 && !hasTag(reading, wordTags.gibberish)) return null
  const odd = words.filter(({ tags }) => tags & wordTags.gibberish)
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

/** Words that are repeated many times. */
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

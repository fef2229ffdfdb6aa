import { messageCode } from '../../messages/code'
import { wordTags } from '../plainWord'
import { hasTag, placeOf, type Reading, type ReadWord } from '../reading'
import { quoted, textAt, type Place, type Signal } from '../signal'

/** Points for one disguised word, and for each further one. */
const FIRST = 36
const FURTHER = 12
const MOST = 66

/** Points for a text that is written backwards or without spaces. */
const WHOLE = 66

/**
 * Disguised words: look-alike letters of another script, invisible characters, letters apart, digits in place of
 * letters, words backwards or run together. Digits and words backwards count only if the resulting word is known.
 */
export function lookalikeSignal(reading: Reading): Signal | null {
  const whole = [...backwards(reading), ...runTogether(reading)]
  if (whole.length > 0) return signal(reading, whole, WHOLE)
  if (!hasTag(reading, wordTags.disguised | wordTags.respelt)) return null
  const places = reading.words
    .filter((word) => word.tags & wordTags.respelt || isDisguised(word, reading))
    .map(placeOf)
  return places.length === 0
    ? null
    : signal(reading, places, Math.min(MOST, FIRST + FURTHER * (places.length - 1)))
}

function signal(reading: Reading, places: Place[], points: number): Signal {
  const headline = messageCode('signal.lookalike')
  return { kind: 'lookalike', points, headline, detail: quoted(reading, places), places }
}

/** Chinese and Japanese texts have Latin letters in full width too. */
const fullWidth = /[\uff21-\uff5a]/u
const eastAsian = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u

const isDisguised = (word: ReadWord, reading: Reading) =>
  (word.tags & wordTags.disguised) !== 0 &&
  !(fullWidth.test(textAt(reading, word)) && eastAsian.test(reading.body))

/** Of so many letters on, a word counts. */
const LONG = 4
const FEWEST_BACKWARDS = 3
const BACKWARDS_SHARE = 0.4

/** Words that are known from their end only, if they are a good part of the text. */
function backwards(reading: Reading): Place[] {
  if (!hasTag(reading, wordTags.backwards)) return []
  const { words } = reading
  const found = words.filter(({ tags }) => tags & wordTags.backwards)
  const long = words.filter(({ plain }) => plain.length >= LONG).length
  return found.length >= FEWEST_BACKWARDS && found.length >= BACKWARDS_SHARE * long ? found.map(placeOf) : []
}

/** Longer than the compounds of any language that parts its words by spaces. */
const SHORTEST_RUN = 45
const RUN_SHARE = 0.5
const spacedScripts = /^[\p{Script=Latin}\p{Script=Cyrillic}\p{Script=Greek}]+$/u

/** Words that are too long for words, if they are a good part of the text. */
function runTogether({ words }: Reading): Place[] {
  const found = words.filter(({ plain }) => plain.length >= SHORTEST_RUN && spacedScripts.test(plain))
  if (found.length === 0) return []
  const letters = (some: ReadWord[]) => some.reduce((sum, { plain }) => sum + plain.length, 0)
  return letters(found) >= RUN_SHARE * letters(words) ? found.map(placeOf) : []
}

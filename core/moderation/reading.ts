import { enclosedLetters, plainWord, wordTags, type PlainWord } from './plainWord'
import type { Place, Words } from './signal'

/** A word of a review with its place in UTF-16 units of the given text. */
export interface ReadWord extends PlainWord, Place {
  /** Whether a sentence or a line begins with it. */
  opens: boolean
}

/** The words of a review, split once for all signals. */
export interface Reading extends Words {
  words: ReadWord[]
  /** The tags of all its words. */
  tags: number
  /** Characteristics of the text (`seenSigns`), which exclude signals cheaply. */
  signs: number
  figures: number
}

/** Characteristics of a text, as bits. */
export const seenSigns = {
  /** A dot between two characters that are neither spaces nor digits: "shop.example". */
  joint: 1,
  /** A dot or comma that can split an address: " . ", ". com", ",com". */
  parted: 2,
  /** A colon before a slash, as in "https://". */
  scheme: 32,
  /** Four single letters in a row. */
  lettered: 64,
  bracket: 4,
  at: 8,
  unseen: 16,
} as const

export function readWords({ title, body }: Words): Reading {
  const reading: Reading = { title, body, words: [], tags: 0, signs: 0, figures: 0 }
  if (title !== '') readField(reading, title, 'title')
  readField(reading, body, 'body')
  if (reading.signs & seenSigns.lettered) reading.words = withLettersJoined(reading)
  return reading
}

export const placeOf = ({ field, start, end }: Place): Place => ({ field, start, end })

/** Whether a review contains a word with one of these tags. */
export const hasTag = ({ tags }: Reading, tag: number): boolean => (tags & tag) !== 0

/**
 * Splits a text into words: letters, digits and what joins them. In scripts without spaces each character is
 * a word. Characters in place of letters count within a word, invisible ones everywhere.
 */
function readField(reading: Reading, text: string, field: Place['field']): void {
  let opens = true
  let alone = 0
  for (let start = 0; start < text.length;) {
    const kind = kindAt(text, start)
    const units = kind & WIDE ? 2 : 1
    if ((kind & (LETTER | FIGURE | ALONE)) === 0) {
      opens = between(reading, text, start, kind) || opens
      start += units
      continue
    }
    let end = start + units
    if ((kind & ALONE) === 0) end = wordEnd(reading, text, start)
    const word = plainWord(text.slice(start, end))
    reading.tags |= word.tags
    alone = word.tags & wordTags.single ? alone + 1 : 0
    if (alone >= 4) reading.signs |= seenSigns.lettered
    reading.words.push({
      plain: word.plain,
      spelt: word.spelt,
      tags: word.tags,
      hash: word.hash,
      speltHash: word.speltHash,
      field,
      start,
      end,
      opens,
    })
    opens = false
    start = end
  }
}

function wordEnd(reading: Reading, text: string, start: number): number {
  let end = start
  while (end < text.length) {
    const kind = kindAt(text, end)
    const inWord =
      (kind & (LETTER | FIGURE | INSIDE)) !== 0 ||
      ((kind & STAND_IN) !== 0 && end + 1 < text.length && (kindAt(text, end + 1) & (LETTER | FIGURE)) !== 0)
    if (!inWord) break
    if (kind & FIGURE) reading.figures++
    if (kind & STAND_IN) reading.signs |= seenSigns.at
    if (kind & UNSEEN) reading.signs |= seenSigns.unseen
    end += kind & WIDE ? 2 : 1
  }
  return end
}

const POINT = 46
const COMMA = 44
const COLON = 58
const SPACE = 32
const STROKE = 47

/** Records a character between words; returns whether a sentence or line ends there. */
function between(reading: Reading, text: string, at: number, kind: number): boolean {
  if ((kind & MARK) === 0) return false
  const unit = text.charCodeAt(at)
  const [before, after] = [text.charCodeAt(at - 1), text.charCodeAt(at + 1)]
  const inside = at > 0 && before !== SPACE && at + 1 < text.length && after > SPACE
  if (kind & BRACKET) reading.signs |= seenSigns.bracket
  if (unit === 64) reading.signs |= seenSigns.at
  if (kind & UNSEEN) reading.signs |= seenSigns.unseen
  if (unit === COLON && (after === STROKE || (after === SPACE && text.charCodeAt(at + 2) === STROKE)))
    reading.signs |= seenSigns.scheme
  if (unit === COMMA) {
    if (inside) reading.signs |= seenSigns.parted
    return false
  }
  if (unit === POINT) {
    if (inside && !isFigure(after)) reading.signs |= seenSigns.joint
    else if (before === SPACE || mayEnd.has(text.charCodeAt(at + 2))) reading.signs |= seenSigns.parted
    return !inside
  }
  return unit === 33 || unit === 63 || unit === 59 || unit === 10
}

const isFigure = (unit: number) => unit >= 48 && unit <= 57
/** The first letters of com, net, org and xyz. */
const mayEnd = new Set([99, 110, 111, 120])

const [LETTER, FIGURE, INSIDE, STAND_IN, ALONE, MARK, BRACKET, UNSEEN, WIDE] = [
  1, 2, 4, 8, 16, 32, 64, 128, 256,
]
const KNOWN = 512

/** The kind of each UTF-16 unit, computed once. */
const kinds = new Uint16Array(1 << 16)

function kindAt(text: string, at: number): number {
  const unit = text.charCodeAt(at)
  if (unit >= 0xd800 && unit < 0xdc00) return kindOf(text.slice(at, at + 2)) | WIDE
  return kinds[unit]! || (kinds[unit] = kindOf(text[at]!) | KNOWN)
}

function kindOf(sign: string): number {
  if (/[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}]/u.test(sign)) return ALONE
  if (/\p{N}/u.test(sign)) return FIGURE
  if (/\p{L}/u.test(sign) || enclosedLetters.test(sign)) return LETTER
  if (/[\u00ad\u200b-\u200f\u2060-\u2064\ufeff]/u.test(sign)) return INSIDE | UNSEEN | MARK
  if (/[\p{M}’']/u.test(sign)) return INSIDE
  if (/[@$!€]/u.test(sign)) return STAND_IN | MARK
  if (/[([{<]/u.test(sign)) return MARK | BRACKET
  return /[.,:;?\n]/u.test(sign) ? MARK : 0
}

/** Four single letters may be a list: "a b c d". */
const SHORTEST_SPACED = 5
const WIDEST_GAP = 3

/** Joins words that are written letter by letter: "l o a n", "l.o.a.n". The gaps between the letters are all alike. */
function withLettersJoined(reading: Reading): ReadWord[] {
  const { words } = reading
  const joined: ReadWord[] = []
  const textOf = ({ field }: Place) => reading[field]
  const isLetter = (word: ReadWord) =>
    (word.tags & wordTags.single) !== 0 && (kindAt(textOf(word), word.start) & LETTER) !== 0
  const gap = (a: ReadWord, b: ReadWord | undefined) =>
    b?.field === a.field && isLetter(b) ? textOf(a).slice(a.end, b.start) : null
  for (let i = 0; i < words.length;) {
    const first = words[i]!
    let last = i
    if (isLetter(first)) {
      const between = gap(first, words[i + 1])
      if (between !== null && between.length <= WIDEST_GAP)
        while (gap(words[last]!, words[last + 1]) === between) last++
    }
    if (last - i + 1 >= SHORTEST_SPACED) {
      const end = words[last]!.end
      const letters = words.slice(i, last + 1).map(({ plain }) => plain)
      const word = plainWord(letters.join(''))
      const tags = word.tags | wordTags.disguised
      joined.push({ ...word, tags, field: first.field, start: first.start, end, opens: first.opens })
      reading.tags |= tags
    } else joined.push(...words.slice(i, last + 1))
    i = last + 1
  }
  return joined
}

/** Hashes of all word triples, unique and ascending. */
export function tripleHashes({ words }: Pick<Reading, 'words'>): Int32Array {
  if (words.length < 3) return new Int32Array(0)
  const hashes = new Int32Array(words.length - 2)
  for (let i = 0; i + 2 < words.length; i++) {
    let hash = Math.imul(words[i]!.hash ^ 0x9e3779b9, 0x85ebca6b)
    hash = Math.imul((hash ^ (hash >>> 13)) + words[i + 1]!.hash, 0xc2b2ae35)
    hash = Math.imul((hash ^ (hash >>> 16)) + words[i + 2]!.hash, 0x27d4eb2f)
    hashes[i] = hash ^ (hash >>> 15)
  }
  return withoutRepeats(hashes)
}

/** Hashes of all words, unique and ascending. */
export const wordHashes = ({ words }: Pick<Reading, 'words'>): Int32Array =>
  withoutRepeats(Int32Array.from(words, ({ hash }) => hash))

/** Sorts the numbers in place. */
function withoutRepeats(numbers: Int32Array): Int32Array {
  numbers.sort()
  let kept = 0
  for (let i = 0; i < numbers.length; i++)
    if (i === 0 || numbers[i] !== numbers[i - 1]) numbers[kept++] = numbers[i]!
  return numbers.subarray(0, kept)
}

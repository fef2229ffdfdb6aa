import { normalizeText } from '../formats/normalizeText'
import { isStreetWord } from './streetWord'
import { isGibberish } from './vocabulary/gibberishWord'
import { isKnownWord } from './vocabulary/knownWords'

/** Letters of other scripts that look like Latin ones. */
const alike: Record<string, string> = {
  а: 'a',
  в: 'b',
  с: 'c',
  ԁ: 'd',
  е: 'e',
  ё: 'e',
  һ: 'h',
  і: 'i',
  ї: 'i',
  ј: 'j',
  к: 'k',
  м: 'm',
  н: 'h',
  о: 'o',
  р: 'p',
  ѕ: 's',
  т: 't',
  у: 'y',
  х: 'x',
  ѡ: 'w',
  α: 'a',
  β: 'b',
  ε: 'e',
  η: 'n',
  ι: 'i',
  κ: 'k',
  ν: 'v',
  ο: 'o',
  ρ: 'p',
  τ: 't',
  υ: 'u',
  χ: 'x',
  ω: 'w',
  ɑ: 'a',
  ɡ: 'g',
  ⅼ: 'l',
  ꞓ: 'c',
}
/** Digits and symbols in place of letters. */
const figures: Record<string, string> = {
  '0': 'o',
  '1': 'i',
  '3': 'e',
  '4': 'a',
  '5': 's',
  '7': 't',
  '@': 'a',
  $: 's',
  '!': 'i',
  '€': 'e',
}
/** Invisible characters. */
export const UNSEEN = /[\u00ad\u200b-\u200f\u2060-\u2064\ufeff]/gu

/** Latin letters in circles, squares and brackets. */
export const enclosedLetters = /[\u249c-\u24e9\u{1f110}-\u{1f189}]/u
/** Those that have no compatibility form, each with the code point of its "a". */
const solid = [0x1f150, 0x1f170]
const smallCapitals: Record<string, string> = {
  ᴀ: 'a',
  ʙ: 'b',
  ᴄ: 'c',
  ᴅ: 'd',
  ᴇ: 'e',
  ꜰ: 'f',
  ɢ: 'g',
  ʜ: 'h',
  ɪ: 'i',
  ᴊ: 'j',
  ᴋ: 'k',
  ʟ: 'l',
  ᴍ: 'm',
  ɴ: 'n',
  ᴏ: 'o',
  ᴘ: 'p',
  ʀ: 'r',
  ꜱ: 's',
  ᴛ: 't',
  ᴜ: 'u',
  ᴠ: 'v',
  ᴡ: 'w',
  ʏ: 'y',
  ᴢ: 'z',
}
const styledLetters =
  /[\uff21-\uff5a\u{1d400}-\u{1d7ff}\u249c-\u24e9\u{1f110}-\u{1f189}\u1d00-\u1d22\u0299\u0262\u026a\u0274\u0280\u028f\u029c\u029f\ua730\ua731]/u

const otherScript = /[\u0370-\u03ff\u0400-\u052f\u0251\u0261\u217c\ua793]/u
const latin = /[a-z\u00c0-\u024f]/iu

/** Properties of a word, as bits. */
export const wordTags = {
  /** Mixes scripts or contains invisible characters. */
  disguised: 1,
  /** Contains digits or symbols in place of the letters of a known word. */
  respelt: 2,
  /** Of no language. */
  gibberish: 4,
  /** A dot, spelled out. */
  dot: 8,
  single: 16,
  /** Part of a street address. */
  street: 32,
  /** A known word, from its end. */
  backwards: 64,
} as const

export interface PlainWord {
  /** Normalized; look-alike letters of other scripts are replaced if the word mixes scripts. */
  plain: string
  /** With digits and symbols read as letters; otherwise equal to `plain`. */
  spelt: string
  /** `wordTags` and the tags of lists. */
  tags: number
  /** Of `plain`. */
  hash: number
  speltHash: number
}

const lists: Set<string>[] = []
/** The lower bits belong to `wordTags`; no more than these fit. */
const FIRST_LIST_BIT = 7
const LISTS_AT_MOST = 23

/**
 * A list of words as a tag, which words carry from their first use on, so that one test finds reviews without
 * any of them.
 * @param words in their `plain` form
 */
export function listTag(words: Iterable<string>): number {
  if (lists.length === LISTS_AT_MOST) throw new Error('no more lists of words fit into the tags')
  lists.push(new Set(words))
  known.clear()
  return 1 << (FIRST_LIST_BIT + lists.length - 1)
}

/** Caches the properties of words, because a few thousand words recur. */
const known = new Map<string, PlainWord>()
const KNOWN_AT_MOST = 40_000

export function plainWord(word: string): PlainWord {
  const earlier = known.get(word)
  if (earlier) return earlier
  const made = make(word)
  if (known.size >= KNOWN_AT_MOST) known.clear()
  known.set(word, made)
  return made
}

function make(word: string): PlainWord {
  const seen = word.replace(UNSEEN, '')
  const mixed = latin.test(seen) && otherScript.test(seen)
  const styled = styledLetters.test(seen)
  const folded = normalizeText(styled ? unstyled(seen) : seen)
  const plain = mixed ? [...folded].map((letter) => alike[letter] ?? letter).join('') : folded
  const bare = plain.replace(/[^\p{L}\p{N}]/gu, '')
  const spelt = spell(plain).replace(/[^\p{L}\p{N}]/gu, '')
  const [hash, speltHash] = [hashText(bare), hashText(spelt)]
  const isNew = !isKnownWord(hash)
  const is: Record<keyof typeof wordTags, boolean> = {
    disguised: mixed || (styled && bare.length > 1) || (seen !== word && seen.length > 1),
    respelt:
      isNew &&
      spelt !== bare &&
      spelt.length >= SHORTEST_RESPELT &&
      /^[a-z]+$/u.test(spelt) &&
      isKnownWord(speltHash),
    gibberish: isNew && isGibberish(bare),
    dot: dots.has(bare),
    single: bare.length === 1,
    street: isStreetWord(bare),
    backwards:
      isNew && bare.length >= SHORTEST_BACKWARDS && isKnownWord(hashText([...bare].toReversed().join(''))),
  }
  const tags = Object.keys(is) as (keyof typeof wordTags)[]
  return {
    plain: bare,
    spelt,
    tags:
      tags.reduce((sum, tag) => sum | (is[tag] ? wordTags[tag] : 0), 0) |
      lists.reduce((sum, list, i) => sum | (list.has(bare) ? 1 << (FIRST_LIST_BIT + i) : 0), 0),
    hash,
    speltHash,
  }
}

function unstyled(word: string): string {
  return [...word]
    .map((letter) => {
      const code = letter.codePointAt(0)!
      const from = solid.find((first) => code >= first && code < first + 26)
      return from === undefined ? (smallCapitals[letter] ?? letter) : String.fromCharCode(97 + code - from)
    })
    .join('')
}

/** Shorter words with a digit are measures and models ("4k", "b2b"). */
const SHORTEST_RESPELT = 5
/** Shorter words are words backwards too often: "now", "was". */
const SHORTEST_BACKWARDS = 4
const dots = new Set(['dot', 'punkt', 'kropka', 'point', 'punto', 'ponto', 'punt'])

function spell(plain: string): string {
  const letters = plain.replace(/[^a-z]/g, '').length
  if (letters < 2 || letters === plain.length) return plain
  return [...plain].map((sign) => figures[sign] ?? sign).join('')
}

/**
 * FNV-1a, 32 bits signed (Fowler, Noll, Vo): fast, equal on every machine, and a small integer for the
 * engine.
 */
export function hashText(text: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return hash | 0
}

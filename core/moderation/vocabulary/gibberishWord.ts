import { letterSurprise } from './letterSurprise'

const rows = [
  'qwertzuiop',
  'qwertyuiop',
  'azertyuiop',
  'asdfghjkl',
  'qsdfghjklm',
  'yxcvbnm',
  'zxcvbnm',
  'wxcvbn',
]
const runsOfKeys = new Set(
  rows
    .flatMap((row) => [row, [...row].reverse().join('')])
    .flatMap((row) => Array.from({ length: row.length - 3 }, (_, i) => row.slice(i, i + 4))),
)
/** Neighbouring keys that real words contain too. */
const wordRuns = new Set(['wert', 'rewq', 'tion', 'poiu', 'oiuy', 'uiop', 'erty', 'rtyu', 'trew'])

const LONG = 10
/** Longer ones are other signals' matter. */
const LONGEST = 200

/**
 * The letter surprise, in nats, from which on a word is of no language. Of words that the tables were not made of, 1
 * in 500 has as much (names, words of other languages).
 */
const SURPRISING = 4
/** Four letters may be an abbreviation. */
const SURPRISING_FOUR = 4.8
/** The scripts whose letters are counted. */
const counted = /^[\p{Script=Latin}\p{Script=Cyrillic}\p{Script=Greek}]+$/u

/**
 * Whether a normalized word is of no language: letters that hardly follow each other, neighbouring keys, many
 * consonants in a row, or one part repeated.
 */
export function isGibberish(plain: string): boolean {
  if (plain.length < 4 || plain.length > LONGEST || !counted.test(plain)) return false
  // "Pfffft" and "sooo" are words with a long letter.
  if (plain.replace(/(.)\1{2,}/gu, '$1').length < 4) return isRepeated(plain)
  if (letterSurprise(plain) >= (plain.length === 4 ? SURPRISING_FOUR : SURPRISING)) return true
  return /^[a-z]+$/u.test(plain) && isUnpronounceable(plain)
}

function isUnpronounceable(plain: string): boolean {
  const keys = Array.from({ length: plain.length - 3 }, (_, i) => plain.slice(i, i + 4)).filter(
    (run) => runsOfKeys.has(run) && !wordRuns.has(run),
  )
  const consonants = Math.max(
    0,
    ...(plain.match(/[bcdfghjklmnpqrstvwxz]+/gu) ?? []).map(({ length }) => length),
  )
  const vowels = plain.match(/[aeiouy]/gu)?.length ?? 0
  return (
    keys.length > 0 ||
    // German compounds have up to eight consonants in a row; short words don't.
    (consonants >= 7 && plain.length < LONG) ||
    (plain.length >= 5 && vowels === 0) ||
    // German and Polish have five or six in a row, but between vowels and in long words.
    (consonants >= 5 && plain.length < LONG && vowels / plain.length < 0.2) ||
    isRepeated(plain)
  )
}

const isRepeated = (plain: string) => /^(.{1,3})\1{3,}$/u.test(plain)

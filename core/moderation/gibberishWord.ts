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

/**
 * Whether a normalized word is unpronounceable: neighbouring keys, many consonants in a row, or one part
 * repeated.
 */
export function isGibberish(plain: string): boolean {
  if (plain.length < 4 || !/^[a-z]+$/u.test(plain)) return false
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
    /^(.{1,3})\1{3,}$/u.test(plain)
  )
}

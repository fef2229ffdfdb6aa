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
/** Runs of keys that words have too. */
const wordRuns = new Set(['wert', 'rewq', 'tion', 'poiu', 'oiuy', 'uiop', 'erty', 'rtyu', 'trew'])

const LONG = 10

/** Whether a folded word is one that nobody can say: keys in a row, consonants piled up, one bit over and over. */
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
    // German joins words until eight meet; short ones have no such excuse.
    (consonants >= 7 && plain.length < LONG) ||
    (plain.length >= 5 && vowels === 0) ||
    // German and Polish pile up five or six, but around vowels and in long words.
    (consonants >= 5 && plain.length < LONG && vowels / plain.length < 0.2) ||
    /^(.{1,3})\1{3,}$/u.test(plain)
  )
}

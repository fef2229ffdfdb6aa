import { normalizeText } from '../formats/normalizeText'

/** Titles and additions, never part of a name. */
const titles = new Set(
  'mr mrs ms miss mx dr drs prof professor sir dame herr frau mme mlle monsieur madame mademoiselle sra srta dott dottssa dottore dottoressa signor signora signorina jr phd md mba bsc msc ba ma'.split(
    ' ',
  ),
)
/** Titles that can also be names or initials; removed only if a whole name remains. */
const perhapsTitles = new Set(
  'm fr hr sr don dona pan pani sig lady lord rev ing mag dipl senor senora van von der den de del della di da du la le los las dos das el al bin ibn zu zum zur ter ten te y e i'.split(
    ' ',
  ),
)

/** Letters with a two-letter spelling. */
const written: [RegExp, string][] = [
  [/[äæ]/gu, 'ae'],
  [/[öøœ]/gu, 'oe'],
  [/ü/gu, 'ue'],
  [/å/gu, 'aa'],
]

/** A part of a name with its other spelling: "muller" and "mueller" for "Müller". */
type Part = string[]

/**
 * Whether two names can belong to one person: what is written out on both sides is the same, an initial stands for a
 * name where only the initial was given, and one name at least is written out on both sides. Further names on one
 * side only, accents, titles, particles and the order of parts are ignored. A single part must be equal.
 */
export function namesAgree(one: string, other: string): boolean {
  return (
    partsAgree(nameParts(one), nameParts(other)) ||
    partsAgree(nameParts(joined(one)), nameParts(joined(other)))
  )
}

/** "Anne-Marie" as "Annemarie". */
const joined = (name: string) => name.replace(/(?<=\p{L})[-\u2010\u2011](?=\p{L})/gu, '')

function partsAgree(a: Part[], b: Part[]): boolean {
  if (a.length < 2 || b.length < 2)
    return a.length === 1 && b.length === 1 && isWhole(a[0]!) && same(a[0]!, b[0]!)
  const left = b.map((part) => part)
  const takeFrom = (some: Part[], fits: (part: Part) => boolean): boolean => {
    const at = some.findIndex(fits)
    if (at >= 0) some.splice(at, 1)
    return at >= 0
  }
  const rest = a.filter(
    (part) => !(isWhole(part) && takeFrom(left, (twin) => isWhole(twin) && same(part, twin))),
  )
  const whole = a.length - rest.length
  const unmet = rest.filter((part) => !takeFrom(left, (twin) => standsFor(part, twin)))
  const pairs = a.length - unmet.length
  if (whole === 0 || pairs < 2) return false
  // Names, or initials, that differ on both sides are of two people.
  return unmet.length === 0 || left.length === 0
}

/** The essential parts of a name, first name first if a comma shows the order. */
function nameParts(name: string): Part[] {
  const [family, given, ...more] = name.split(',')
  const ordered =
    given !== undefined && more.length === 0 && carrying(given).length > 0 ? `${given} ${family}` : name
  return carrying(ordered)
}

function carrying(name: string): Part[] {
  const words = name
    .normalize('NFC')
    .toLowerCase()
    .replace(/[’'‘`´]/gu, '')
    .split(/[^\p{L}\p{M}\p{N}]+/u)
    .filter(Boolean)
    .map(spellings)
  const untitled = words.filter(([word]) => !titles.has(word!))
  const sure = untitled.filter(([word]) => !perhapsTitles.has(word!))
  return sure.length >= 2 ? sure : untitled
}

function spellings(word: string): Part {
  const long = normalizeText(written.reduce((text, [letter, out]) => text.replace(letter, out), word))
  return [...new Set([normalizeText(word), long])]
}

const same = (a: Part, b: Part): boolean => a.some((spelling) => b.includes(spelling))
const isWhole = (part: Part): boolean => part[0]!.length > 1
const first = (part: Part) => [...part[0]!][0]
/** Whether one of them is the initial of the other. */
const standsFor = (a: Part, b: Part): boolean => (!isWhole(a) || !isWhole(b)) && first(a) === first(b)

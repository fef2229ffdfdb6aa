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

interface Reading {
  given: Part
  families: Part[]
}

/**
 * Whether two names can belong to one person: family name and first initial agree, or first name and family
 * initial. Accents, titles, particles and the order of parts are ignored. A single part must be equal.
 */
export function namesAgree(one: string, other: string): boolean {
  const a = nameParts(one)
  const b = nameParts(other)
  if (a.length === 0 || b.length === 0) return false
  if (a.length === 1 || b.length === 1)
    return a.length === b.length && a[0]![0]!.length > 1 && same(a[0]!, b[0]!)
  return (
    readAlike(inOrder(a), inOrder(b)) ||
    // In reverse order, only the outer parts are certain.
    readAlike(turned(a), outer(b)) ||
    readAlike(outer(a), turned(b))
  )
}

/** The essential parts of a name, first name first if a comma shows the order. */
export function nameParts(name: string): Part[] {
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

const inOrder = ([given, ...families]: Part[]): Reading => ({ given: given!, families })
const outer = (parts: Part[]): Reading => ({ given: parts[0]!, families: [parts.at(-1)!] })
const turned = (parts: Part[]): Reading => ({ given: parts.at(-1)!, families: [parts[0]!] })

function readAlike(a: Reading, b: Reading): boolean {
  return a.families.some((family) =>
    b.families.some(
      (twin) =>
        (whole(family, twin) && initial(a.given, b.given)) ||
        (whole(a.given, b.given) && initial(family, twin)),
    ),
  )
}

const same = (a: Part, b: Part): boolean => a.some((spelling) => b.includes(spelling))
const whole = (a: Part, b: Part): boolean => a[0]!.length > 1 && same(a, b)
const initial = (a: Part, b: Part): boolean => [...a[0]!][0] === [...b[0]!][0]

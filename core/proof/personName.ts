import { fold } from '../formats/fold'

const titles = new Set(
  'mr mrs ms miss mx dr prof sir dame herr frau mme mlle m monsieur madame sr sra srta don dona pan pani sig'.split(
    ' ',
  ),
)
const particles = new Set(
  'van von der den de del di da du la le los las dos das el al bin ibn zu zum ter ten y e i'.split(' '),
)

/** The parts of a name that carry it: accents, titles, particles and punctuation taken off. */
export function nameParts(name: string): string[] {
  const words = fold(name)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
  const untitled = words.filter((word) => !titles.has(word))
  const bare = untitled.filter((word) => !particles.has(word))
  return bare.length >= 2 ? bare : untitled
}

/**
 * Whether two spellings of a name can be one person: family name and first initial, or first name and family
 * initial, in either order. A single part agrees only with the very same single part.
 */
export function namesAgree(one: string, other: string): boolean {
  const a = nameParts(one)
  const b = nameParts(other)
  if (a.length === 0 || b.length === 0) return false
  if (a.length === 1 || b.length === 1) return a.length === b.length && a[0] === b[0] && a[0]!.length > 1
  return a.some((whole, i) =>
    b.some(
      (twin, k) =>
        whole === twin &&
        whole.length > 1 &&
        a.some((rest, j) => j !== i && b.some((restTwin, l) => l !== k && rest[0] === restTwin[0])),
    ),
  )
}

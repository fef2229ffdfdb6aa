import { normalizeText } from '../formats/normalizeText'

const LONGEST = 40

/** A name as part of an address: lower-case letters, digits and hyphens, never empty. */
export function slugOf(name: string): string {
  const slug = normalizeText(name)
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, LONGEST)
    .replace(/^-+|-+$/g, '')
  return slug || 'shop'
}

/** The wanted name if it is free, otherwise the first free one with a number. */
export async function firstFree(
  wanted: string,
  isTaken: (name: string) => Promise<boolean>,
): Promise<string> {
  if (!(await isTaken(wanted))) return wanted
  for (let number = 2; ; number++) {
    const numbered = `${wanted}-${number}`
    if (!(await isTaken(numbered))) return numbered
  }
}

import type { Declaration } from './css'

/** Font families of a page as CSS lists; null if unset. */
export interface SiteFonts {
  body: string | null
  heading: string | null
}

/** Accepts only lists of family names. */
export const FAMILY_LIST = /^[\p{L}\p{N} ,'"_.-]{1,200}$/u

const size = String.raw`(?:\d[\w.%]*|(?:x+-)?(?:small|large)|medium|smaller|larger|inherit)`
const shorthand = new RegExp(String.raw`(?:^|\s)${size}(?:\s*/\s*[\w.%]+)?\s+(\D.*)$`)

/** The fonts of text and headings. */
export function fontsOf(declarations: Declaration[]): SiteFonts {
  const body = familyOf(declarations, /^(html|body|:root|\*|html body)$/i)
  return { body, heading: familyOf(declarations, /(^|\s)h[12]$/i) ?? body }
}

function familyOf(declarations: Declaration[], selector: RegExp): string | null {
  const families = declarations
    .filter((declaration) => selector.test(declaration.selector))
    .flatMap(({ property, value }) => {
      if (property === 'font-family') return [value]
      return property === 'font' ? (shorthand.exec(value)?.[1] ?? []) : []
    })
    .map((family) => family.replace(/!important/i, '').trim())
    .filter((family) => FAMILY_LIST.test(family) && !/^(inherit|initial|unset|revert)$/i.test(family))
  return families.at(-1) ?? null
}

/** The first family of a list. */
export function familyName(list: string): string {
  return list.split(',')[0]!.replace(/["']/g, '').trim()
}

import { languageOf } from '../intake/language'
import { coloursOf, type SiteColours } from './colours'
import { cornersOf } from './corners'
import { withProperties, type Declaration } from './css'
import { fontsOf, type SiteFonts } from './fonts'
import { hostName, readManifest, type Page } from './page'

/** What a shop's site tells of the shop, for its owner to correct. */
export interface SiteReading {
  name: string
  description: string
  /** A BCP 47 tag; null when the page neither says nor shows it. */
  language: string | null
  domain: string
  colours: SiteColours
  fonts: SiteFonts
  /** How round its buttons are, in CSS pixels. */
  corners: number
  /** Addresses of pictures that may stand for the shop, the likeliest first. */
  pictures: string[]
}

/**
 * Puts together what a page, its style sheets and its manifest say.
 * @param declared the declarations of the page's style sheets and of its own styles (`page.css`), in their order
 * @param manifest parsed JSON of any shape
 */
export function readSite(
  page: Page,
  declared: Declaration[],
  manifest: { url: string; content: unknown } | null,
): SiteReading {
  const declarations = withProperties(declared)
  const app = readManifest(manifest?.content, manifest?.url ?? page.url)
  return {
    name: page.names[0] || app.name || hostName(page.url),
    description: page.description,
    language: languageTag(page.language) ?? languageOf(page.text),
    domain: new URL(page.url).hostname.replace(/^www\./, ''),
    colours: coloursOf(declarations, [page.themeColour, app.colour], page.classes),
    fonts: fontsOf(declarations),
    corners: cornersOf(declarations, page.classes),
    pictures: [...new Set([...page.pictures.slice(0, -1), ...app.pictures, ...page.pictures.slice(-1)])],
  }
}

function languageTag(given: string | null): string | null {
  if (!given) return null
  try {
    return Intl.getCanonicalLocales(given)[0] ?? null
  } catch {
    return null
  }
}

import { languageOf } from '../intake/language'
import { coloursOf, type SiteColours } from './colours'
import { cornersOf } from './corners'
import { withProperties, type Declaration } from './css'
import { fontsOf, type SiteFonts } from './fonts'
import { hostName, readManifest, type Page } from './page'

/** What a site contains about its shop. */
export interface SiteReading {
  name: string
  description: string
  /** A BCP 47 tag; null if unknown. */
  language: string | null
  domain: string
  colours: SiteColours
  fonts: SiteFonts
  /** Radius of buttons in CSS pixels. */
  corners: number
  /** Addresses of possible logos, most likely first. */
  pictures: string[]
}

/**
 * Combines a page, its style sheets and its manifest.
 * @param declared the declarations of its style sheets and own styles (`page.css`), in order
 * @param manifest any parsed JSON
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

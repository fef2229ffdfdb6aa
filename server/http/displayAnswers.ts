import { createHash } from 'node:crypto'
import { prepare, type Prepared } from './prepared'

const ALWAYS_ASK = 'no-cache, s-maxage=1'

/** The JSON of a display, which any origin may read. */
export function displayJson(body: string): Prepared {
  return prepare(body, {
    'Content-Type': 'application/json; charset=utf-8',
    'Cache-Control': ALWAYS_ASK,
    'Access-Control-Allow-Origin': '*',
    'Cross-Origin-Resource-Policy': 'cross-origin',
  })
}

/** HTML for the list of a display, which any origin may read. */
export function displayPart(body: string): Prepared {
  return prepare(body, {
    'Content-Type': 'text/html; charset=utf-8',
    'Content-Security-Policy': "default-src 'none'; sandbox",
    'Cache-Control': ALWAYS_ASK,
    'Access-Control-Allow-Origin': '*',
    'Cross-Origin-Resource-Policy': 'cross-origin',
  })
}

/** A page for visitors. The logo of a shop is a data image. Its policy allows only our script and its style elements: texts of others cannot contain one. */
export function visitorPage(page: string): Prepared {
  const styles = new Set([...page.matchAll(/<style>([\s\S]*?)<\/style>/g)].map(([, style]) => style!))
  const hashes = [...styles].map((style) => `'sha256-${createHash('sha256').update(style).digest('base64')}'`)
  return prepare(page, {
    'Content-Type': 'text/html; charset=utf-8',
    'Cache-Control': ALWAYS_ASK,
    'Content-Security-Policy': `default-src 'none'; script-src 'self'; style-src ${hashes.join(' ')}; font-src 'self'; img-src 'self' data:; media-src 'self'; connect-src 'self'; base-uri 'none'; form-action 'self'`,
  })
}

import { createHash } from 'node:crypto'
import { prepare, type Prepared } from './prepared'

const ALWAYS_ASK = 'no-cache, s-maxage=1'

/** A display's JSON, which any origin may read. */
export function displayJson(body: string): Prepared {
  return prepare(
    body,
    {
      'Content-Type': 'application/json; charset=utf-8',
      'Cache-Control': ALWAYS_ASK,
      'Access-Control-Allow-Origin': '*',
      'Cross-Origin-Resource-Policy': 'cross-origin',
    },
    'quickly',
  )
}

/** A page for visitors; nothing runs on it but our own script, and only its one style element is let through. */
export function visitorPage(page: string): Prepared {
  const style = /<style>([\s\S]*?)<\/style>/.exec(page)?.[1] ?? ''
  const styleHash = createHash('sha256').update(style).digest('base64')
  return prepare(
    page,
    {
      'Content-Type': 'text/html; charset=utf-8',
      'Cache-Control': ALWAYS_ASK,
      'Content-Security-Policy': `default-src 'none'; script-src 'self'; style-src 'sha256-${styleHash}'; font-src 'self'; img-src 'self'; base-uri 'none'; form-action 'self'`,
    },
    'quickly',
  )
}

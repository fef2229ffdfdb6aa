import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { allSnapshots, type Snapshot } from '../data/snapshots'
import { prepare, type Prepared } from '../http/prepared'

/** What visitors fetch of one display, ready to send. */
interface LiveDisplay {
  json: Prepared
  page: Prepared
}

/** Every live display, in memory, by its key. */
export interface LiveDisplays {
  get: (key: string) => LiveDisplay | undefined
  put: (key: string, snapshot: Pick<Snapshot, 'body' | 'page'>) => void
}

export async function loadLiveDisplays(db: Knex): Promise<LiveDisplays> {
  const byKey = new Map<string, LiveDisplay>()
  const displays: LiveDisplays = {
    get: (key) => byKey.get(key),
    put: (key, { body, page }) => byKey.set(key, { json: prepareJson(body), page: preparePage(page) }),
  }
  for (const snapshot of await allSnapshots(db)) displays.put(snapshot.key, snapshot)
  return displays
}

const ALWAYS_ASK = 'no-cache, s-maxage=1'

function prepareJson(body: string): Prepared {
  return prepare(body, {
    'Content-Type': 'application/json; charset=utf-8',
    'Cache-Control': ALWAYS_ASK,
    'Access-Control-Allow-Origin': '*',
    'Cross-Origin-Resource-Policy': 'cross-origin',
  })
}

function preparePage(page: string): Prepared {
  const style = /<style>([\s\S]*?)<\/style>/.exec(page)?.[1] ?? ''
  const styleHash = createHash('sha256').update(style).digest('base64')
  return prepare(page, {
    'Content-Type': 'text/html; charset=utf-8',
    'Cache-Control': ALWAYS_ASK,
    'Content-Security-Policy': `default-src 'none'; style-src 'sha256-${styleHash}'; font-src 'self'; img-src 'self'; base-uri 'none'; form-action 'self'`,
  })
}

import type { Knex } from 'knex'
import { allSnapshots } from '../data/snapshots'
import { displayJson, displayPage } from './displayAnswers'
import type { Publication } from '../publishing/publish'
import type { Prepared } from './prepared'

/** What visitors fetch of one display, ready to send. */
interface LiveDisplay {
  json: Prepared
  page: Prepared
}

/** Every live display, in memory, by its key. */
export interface LiveDisplays extends Publication {
  get: (key: string) => LiveDisplay | undefined
}

export async function loadLiveDisplays(db: Knex): Promise<LiveDisplays> {
  const byKey = new Map<string, LiveDisplay>()
  const displays: LiveDisplays = {
    get: (key) => byKey.get(key),
    put: (key, { body, page }) => byKey.set(key, { json: displayJson(body), page: displayPage(page) }),
  }
  for (const snapshot of await allSnapshots(db)) displays.put(snapshot.key, snapshot)
  return displays
}

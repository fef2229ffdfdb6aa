import type { Knex } from 'knex'
import { allSnapshots } from '../data/snapshots'
import { displayJson } from './displayAnswers'
import type { Publication } from '../publishing/publish'
import type { Prepared } from './prepared'

/** Answers made on demand that are kept at once, over all displays. */
const MOST_VARIANTS = 2000

/** What visitors fetch, in memory: every live display by its key, and variants of it once somebody asked. */
export interface LiveDisplays extends Publication {
  /** The display's answer without anything asked of it. */
  json: (key: string) => Prepared | undefined
  /** The key of a display by its key or by its page's own address, or undefined when nothing is live there. */
  keyOf: (name: string) => string | undefined
  /** A variant of a live display, made when nobody asked for it since the display was last rendered. */
  variant: (key: string, name: string, make: () => Promise<Prepared | null>) => Promise<Prepared | null>
}

export async function loadLiveDisplays(db: Knex): Promise<LiveDisplays> {
  const plain = new Map<string, { json: Prepared; asked: number; address: string | null }>()
  const byAddress = new Map<string, string>()
  const variants = new Map<string, Promise<Prepared | null>>()
  let clock = 0

  const forget = (key: string) => {
    for (const name of variants.keys()) if (name.startsWith(`${key} `)) variants.delete(name)
    const address = plain.get(key)?.address
    if (address) byAddress.delete(address)
  }
  const displays: LiveDisplays = {
    json: (key) => {
      const found = plain.get(key)
      if (found) found.asked = ++clock
      return found?.json
    },
    keyOf: (name) => (plain.has(name) ? name : byAddress.get(name)),
    variant: (key, name, make) => {
      const full = `${key} ${name}`
      const answer = variants.get(full) ?? make()
      variants.delete(full)
      variants.set(full, answer)
      if (variants.size > MOST_VARIANTS) variants.delete(variants.keys().next().value!)
      answer.then(
        (made) => made ?? variants.delete(full),
        () => variants.delete(full),
      )
      return answer
    },
    put: ({ key, address, body }) => {
      const asked = plain.get(key)?.asked ?? 0
      forget(key)
      plain.set(key, { json: displayJson(body), asked, address })
      if (address) byAddress.set(address, key)
    },
    remove: (key) => {
      forget(key)
      plain.delete(key)
    },
    latestAsked: () =>
      [...plain]
        .filter(([, { asked }]) => asked > 0)
        .toSorted(([, a], [, b]) => b.asked - a.asked)
        .map(([key]) => key),
  }
  for (const snapshot of await allSnapshots(db)) displays.put(snapshot)
  return displays
}

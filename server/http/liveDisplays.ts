import { z } from 'zod'
import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import { allSnapshots } from '../data/snapshots'
import { displayJson } from './displayAnswers'
import type { Publication, Published } from '../publishing/published'
import type { Prepared } from './prepared'

/** What is needed of a rendered display. */
const bodySchema = z.object({ language: z.string().optional() })

/** For variants of all displays. */
const MOST_VARIANT_BYTES = 64_000_000
/** The size of an entry before its bytes are known, and beside them. */
const VARIANT_BYTES = 2000

/** The published displays in memory, and requested variants of them. */
export interface LiveDisplays extends Publication {
  /** @param json the answer without parameters, if a thread has made it */
  put: (display: Published, json?: Prepared) => void
  /** The answer without parameters. */
  json: (key: string) => Prepared | undefined
  /** Whether the answer without parameters is in this language. */
  isIn: (key: string, language: string) => boolean
  /** The key of a published display by its key or address; undefined if there is none. */
  keyOf: (name: string) => string | undefined
  /** A variant of a published display, rendered if it isn't in memory. */
  variant: (key: string, name: string, make: () => Promise<Prepared | null>) => Promise<Prepared | null>
}

const bytesOf = ({ plain, gzip, brotli }: Prepared) =>
  plain.length + (gzip?.length ?? 0) + (brotli?.length ?? 0)

export async function loadLiveDisplays(db: Knex): Promise<LiveDisplays> {
  const plain = new Map<
    string,
    {
      json: Prepared
      shopId: number
      language?: string
      asked: number
      address: string | null
      since: number
    }
  >()
  /** When all variants of a shop became invalid, by the clock. */
  const validSince = new Map<number, number>()
  const byAddress = new Map<string, string>()
  const variants = new LRUCache<string, Promise<Prepared | null>>({ maxSize: MOST_VARIANT_BYTES })
  let clock = 0

  const forget = (key: string) => {
    const address = plain.get(key)?.address
    if (address) byAddress.delete(address)
  }
  const displays: LiveDisplays = {
    json: (key) => {
      const found = plain.get(key)
      if (found) found.asked = ++clock
      return found?.json
    },
    isIn: (key, language) => plain.get(key)?.language === language,
    keyOf: (name) => (plain.has(name) ? name : byAddress.get(name)),
    variant: (key, name, make) => {
      // Those from before have other names, and are dropped when there is no room.
      const { since = 0, shopId = 0 } = plain.get(key) ?? {}
      const full = `${key} ${Math.max(since, validSince.get(shopId) ?? 0)} ${name}`
      const known = variants.get(full)
      if (known) return known
      const answer = make()
      variants.set(full, answer, { size: VARIANT_BYTES })
      const keep = (made: Prepared | null) => {
        // There was no room for it meanwhile.
        if (variants.peek(full) !== answer) return
        if (made) variants.set(full, answer, { size: VARIANT_BYTES + bytesOf(made) })
        else variants.delete(full)
      }
      answer.then(keep, () => keep(null))
      return answer
    },
    put: ({ shopId, key, address, body }, json = displayJson(body)) => {
      const asked = plain.get(key)?.asked ?? 0
      forget(key)
      const { language } = bodySchema.parse(JSON.parse(body))
      plain.set(key, { json, shopId, language, asked, address, since: ++clock })
      if (address) byAddress.set(address, key)
    },
    forgetVariants: (shopId) => void validSince.set(shopId, ++clock),
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

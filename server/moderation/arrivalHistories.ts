import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import { setImmediate, setTimeout } from 'node:timers/promises'
import { readArrival, type Arriving } from '../../core/moderation/memory/arrival'
import { fingerprintOf, type Fingerprint } from '../../core/moderation/memory/fingerprint'
import { LATEST_COMPARED, ShopHistory } from '../../core/moderation/memory/shopHistory'
import { arrivalsOf } from '../data/arrivals'
import { firstRemembered, insertImprints, rememberedArrivals, storedImprint } from '../data/fingerprints'
import { turnsOf } from '../data/sqliteClient'
import { writing } from '../data/writing'

/**
 * The arrivals of each shop, read from the database when they are first needed. The latest are read first, so
 * that an arrival right after a restart can be compared; the others follow.
 */
export interface ArrivalHistories {
  /** Compares an arrival with earlier ones and remembers it. */
  compareAndRemember: (
    shopId: number,
    arriving: Arriving,
  ) => Promise<ReturnType<ShopHistory['compareAndRemember']>>
  /** Forgets an arrival that could not be stored. */
  forget: (shopId: number, id: string) => Promise<void>
  /** Reads the latest arrivals of a shop; the others follow. */
  readLatest: (shopId: number) => Promise<void>
  /** Reads all arrivals of a shop that later ones are compared with. Returns their number. */
  readAll: (shopId: number) => Promise<number>
}

const MAX_AGE_MS = 365 * 86_400_000
const MAX_ARRIVALS = 60_000
/** For all shops together; an arrival takes about 1.5 kB. */
const MAX_ARRIVALS_IN_MEMORY = 70_000
const MAX_SHOPS_IN_MEMORY = 1000
/** Read before the first arrival is compared; takes about 0.3 s. */
const FIRST_READ = 5000
/** Rows of one query. An arrival waits for at most one query, about 30 ms. */
const ROWS_AT_ONCE = 500
const MADE_AT_ONCE = 100

/** The first review id that later arrivals are compared with. */
export const rememberedFrom = (db: Knex, now: Date, shopId: number, most = MAX_ARRIVALS): Promise<number> =>
  firstRemembered(db, shopId, { most, since: new Date(now.getTime() - MAX_AGE_MS).toISOString() })

interface Entry {
  memory: ShopHistory
  /** Arrivals during the reading; null once everything is read. */
  metMeanwhile: Fingerprint[] | null
  allRead: Promise<void>
}

export function buildArrivalHistories(db: Knex, now: () => Date, firstRead = FIRST_READ): ArrivalHistories {
  const entries = new LRUCache<number, Promise<Entry>>({
    max: MAX_SHOPS_IN_MEMORY,
    maxSize: MAX_ARRIVALS_IN_MEMORY,
  })
  const setSize = (shopId: number, entry: Promise<Entry>, size: number) => {
    if (entries.peek(shopId) === entry)
      entries.set(shopId, entry, { size: Math.min(size + 1, MAX_ARRIVALS_IN_MEMORY) })
  }

  function entryOf(shopId: number): Promise<Entry> {
    const known = entries.get(shopId)
    if (known) return known
    const entry = readLatest(shopId)
    entries.set(shopId, entry, { size: 1 })
    const drop = () => entries.peek(shopId) === entry && entries.delete(shopId)
    entry
      .then(async ({ memory, allRead }) => {
        setSize(shopId, entry, memory.size)
        await allRead
        setSize(shopId, entry, (await entry).memory.size)
      })
      // The next arrival tries again.
      .catch(drop)
    return entry
  }

  async function readLatest(shopId: number): Promise<Entry> {
    const first = await rememberedFrom(db, now(), shopId)
    const latest = await rememberedFrom(db, now(), shopId, firstRead)
    const entry: Entry = {
      memory: await readFrom(shopId, latest),
      metMeanwhile: latest > first ? [] : null,
      allRead: Promise.resolve(),
    }
    if (latest > first) entry.allRead = readRest(shopId, first, entry)
    return entry
  }

  async function readRest(shopId: number, first: number, entry: Entry): Promise<void> {
    const whole = await readFrom(shopId, first)
    // An arrival that was compared but not stored yet when the last row was read.
    whole.restoreLatest(entry.metMeanwhile!.filter(({ id }) => !whole.remembers(id)))
    entry.memory = whole
    entry.metMeanwhile = null
  }

  async function readFrom(shopId: number, first: number): Promise<ShopHistory> {
    const memory = new ShopHistory()
    let latest: Fingerprint[] = []
    for (let after = first - 1; ;) {
      const rows = await rememberedArrivals(db, shopId, after, ROWS_AT_ONCE)
      const missing = rows.filter(({ fingerprint }) => fingerprint === null).map(({ reviewId }) => reviewId)
      const made = await makeMissing(db, shopId, missing)
      latest.push(
        ...rows.map(({ reviewId, fingerprint }) => fingerprint ?? made.get(reviewId)).filter((one) => !!one),
      )
      memory.restore(latest.slice(0, -LATEST_COMPARED))
      latest = latest.slice(-LATEST_COMPARED)
      if (rows.length < ROWS_AT_ONCE) break
      after = rows.at(-1)!.reviewId
      await setImmediate()
    }
    memory.restoreLatest(latest)
    return memory
  }

  return {
    compareAndRemember: async (shopId, arriving) => {
      const entry = await entryOf(shopId)
      const met = entry.memory.compareAndRemember(arriving)
      entry.metMeanwhile?.push(met.fingerprint)
      // Reads everything again, without the oldest.
      if (entry.memory.size > MAX_ARRIVALS_IN_MEMORY && !entry.metMeanwhile) entries.delete(shopId)
      return met
    },
    forget: async (shopId, id) => {
      const entry = await entries.peek(shopId)
      if (!entry) return
      entry.memory.forget(id)
      entry.metMeanwhile = entry.metMeanwhile?.filter((one) => one.id !== id) ?? null
    },
    readLatest: async (shopId) => {
      await entryOf(shopId)
    },
    readAll: async (shopId) => {
      const entry = await entryOf(shopId)
      await entry.allRead
      return entry.memory.size
    },
  }
}

/** Computes and stores the fingerprints of reviews from before fingerprints were stored. */
async function makeMissing(db: Knex, shopId: number, ids: number[]): Promise<Map<number, Fingerprint>> {
  const made = new Map<number, Fingerprint>()
  for (let from = 0; from < ids.length; from += MADE_AT_ONCE) {
    const some = ids.slice(from, from + MADE_AT_ONCE)
    const arrivals = await arrivalsOf(db, shopId, some)
    const rows = arrivals.map(({ inner, ...arriving }) => {
      const fingerprint = fingerprintOf(readArrival(arriving))
      made.set(inner, fingerprint)
      return { reviewId: inner, ...storedImprint(fingerprint) }
    })
    // Requests have priority, and arrivals are checked meanwhile.
    while (turnsOf(db)?.isWaited()) await setTimeout(5)
    if (rows.length > 0) await writing(db, (trx) => insertImprints(trx, shopId, rows))
    await setImmediate()
  }
  return made
}

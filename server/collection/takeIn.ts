import type { Candidate } from '../../core/intake/candidate'
import type { Actor } from '../../core/moderation/actor'
import { countIntake, type Intake } from '../data/intakes'
import { keysOfOrigin, knownReviews } from '../data/knownReviews'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { TaskStopped, type TaskControl } from '../workers/task'
import { withdrawVanished } from './changeKnown'
import { receive } from './receive'

/** Reviews of one transaction, fewer while storing them takes long. */
const MOST_AT_ONCE = 200
const LEAST_AT_ONCE = 10
/** The time limit of a transaction; a waiting request waits at most this long. */
const WRITING_MS = 18
const KEYS_AT_ONCE = 500
const WITHDRAWN_AT_ONCE = 20

/** What a source brings: one file, page or check of a listing. */
export interface Brought {
  intake: Intake
  actor: Actor
  candidates: AsyncIterable<Candidate> | Iterable<Candidate>
  /** Whether these are all of the origin, so that stored ones that are not among them are withdrawn. */
  isComplete?: boolean
}

/**
 * Receives any number of reviews in short transactions. It can stop at any time: whatever brings the same
 * reviews again continues, because stored ones are known by their keys.
 * @throws TaskStopped when it was asked to stop
 */
export async function takeIn(
  services: Services,
  shop: Shop,
  { intake, actor, candidates, isComplete = false }: Brought,
  control: TaskControl,
): Promise<void> {
  const present = new Set<string>()
  let atOnce = LEAST_AT_ONCE * 2
  let done = 0
  let waiting: Candidate[] = []
  const store = async () => {
    const { writingMs } = await receive(services, shop, { actor, intake, candidates: waiting })
    done += waiting.length
    const fitting = Math.round((waiting.length * WRITING_MS) / Math.max(1, writingMs))
    atOnce = Math.min(MOST_AT_ONCE, Math.max(LEAST_AT_ONCE, Math.min(fitting, 2 * atOnce)))
    waiting = []
    control.progress(done, null)
    if (control.isStopped()) throw new TaskStopped()
    control.giveWay()
  }
  for await (const candidate of candidates) {
    if (isComplete && candidate.identity.by === 'externalKey') present.add(candidate.identity.key)
    waiting.push(candidate)
    if (waiting.length >= atOnce) await store()
  }
  if (waiting.length > 0) await store()
  if (isComplete) await withdrawMissing(services, shop, { intake, actor }, present, control)
}

async function withdrawMissing(
  services: Services,
  shop: Shop,
  { intake, actor }: Pick<Brought, 'intake' | 'actor'>,
  present: Set<string>,
  control: TaskControl,
): Promise<void> {
  const { db } = services
  const { origin } = intake
  for (let after = ''; ;) {
    const keys = await keysOfOrigin(db, shop.id, origin, after, KEYS_AT_ONCE)
    const missing = keys.filter((key) => !present.has(key))
    for (let from = 0; from < missing.length; from += WITHDRAWN_AT_ONCE) {
      const some = missing.slice(from, from + WITHDRAWN_AT_ONCE)
      await writing(db, async (trx) => {
        const identities = some.map((externalKey) => ({
          reviewId: null,
          tokenHash: null,
          origin,
          externalKey,
          sameWords: null,
        }))
        const gone = (await knownReviews(trx, shop.id, identities)).flatMap((known) => known?.id ?? [])
        await withdrawVanished(services, trx, shop, { actor, intake }, gone)
        await countIntake(trx, intake.id, { withdrawn: gone.length })
      })
      control.giveWay()
    }
    if (control.isStopped()) throw new TaskStopped()
    if (keys.length < KEYS_AT_ONCE) break
    after = keys.at(-1)!
  }
  services.changes.announce(shop.id)
  services.wakeJobs()
}

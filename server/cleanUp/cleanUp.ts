import type { Knex } from 'knex'
import { forgetAddresses } from '../data/arrivals'
import {
  deleteExpiredTokens,
  deleteFingerprints,
  deleteJobs,
  deleteMails,
  deleteSessions,
  deleteUsedTokens,
} from '../data/cleanUp'
import { allShops } from '../data/shops'
import { rememberedFrom } from '../moderation/arrivalHistories'
import type { Services } from '../services'

const DAY_MS = 86_400_000

/** For how many days each is kept after it has been of use; `docs/limits.md` says the same. */
export const keptDays = {
  /** Network addresses help to see an attack while it lasts. */
  addresses: 30,
  /** A link that was used says so when it is opened again. */
  usedTokens: 30,
  /** What was sent helps to answer who asks for it. */
  mails: 90,
  endedJobs: 30,
}

/** Deletes what is of no use any more. Answers how many rows of each kind went. */
export async function cleanUp({ db, now }: Pick<Services, 'db' | 'now'>): Promise<Record<string, number>> {
  const at = now().toISOString()
  const before = (days: number) => new Date(now().getTime() - days * DAY_MS).toISOString()
  return {
    addresses: await forgetAddresses(db, before(keptDays.addresses)),
    sessions: await deleteSessions(db, at),
    tokens: (await deleteExpiredTokens(db, at)) + (await deleteUsedTokens(db, before(keptDays.usedTokens))),
    fingerprints: await forgetFingerprints(db, now()),
    mails: await deleteMails(db, before(keptDays.mails)),
    jobs: await deleteJobs(db, before(keptDays.endedJobs)),
  }
}

/** What detection remembers of arrivals goes when it is compared with no more. */
async function forgetFingerprints(db: Knex, now: Date): Promise<number> {
  let gone = 0
  for (const { id } of await allShops(db))
    gone += await deleteFingerprints(db, id, await rememberedFrom(db, now, id))
  return gone
}

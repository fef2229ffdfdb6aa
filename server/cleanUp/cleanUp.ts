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
import { forgetRemovedPortraits } from '../data/listings'
import { allShops } from '../data/shops'
import { rememberedFrom } from '../moderation/arrivalHistories'
import type { Services } from '../services'

const DAY_MS = 86_400_000

/** Retention in days. `docs/limits.md` lists the same. */
const keptDays = {
  /** Network addresses are needed only to recognise an attack. */
  addresses: 30,
  /** A used link can still explain itself when it is opened again. */
  usedTokens: 30,
  /** Of reviews that were removed with their listing. */
  portraits: 30,
  mails: 90,
  endedJobs: 30,
}

/** Returns the number of deleted rows of each kind. */
export async function cleanUp({ db, now }: Pick<Services, 'db' | 'now'>): Promise<Record<string, number>> {
  const at = now().toISOString()
  const before = (days: number) => new Date(now().getTime() - days * DAY_MS).toISOString()
  return {
    addresses: await forgetAddresses(db, before(keptDays.addresses)),
    sessions: await deleteSessions(db, at),
    tokens: (await deleteExpiredTokens(db, at)) + (await deleteUsedTokens(db, before(keptDays.usedTokens))),
    fingerprints: await forgetFingerprints(db, now()),
    portraits: await forgetRemovedPortraits(db, before(keptDays.portraits)),
    mails: await deleteMails(db, before(keptDays.mails)),
    jobs: await deleteJobs(db, before(keptDays.endedJobs)),
  }
}

/** Fingerprints are deleted when nothing is compared with them any more. */
async function forgetFingerprints(db: Knex, now: Date): Promise<number> {
  let gone = 0
  for (const { id } of await allShops(db))
    gone += await deleteFingerprints(db, id, await rememberedFrom(db, now, id))
  return gone
}

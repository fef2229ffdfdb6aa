import { snapshotsOfShop } from '../data/snapshots'
import type { Job } from '../jobs/job'
import type { Services } from '../services'
import type { Publication } from './published'

/** The job: a thread renders the displays and hands over each one after storing it. */
export async function rebuildDisplays(
  { db, workers }: Pick<Services, 'db' | 'workers'>,
  publication: Publication,
  job: Job,
  signal: AbortSignal,
): Promise<void> {
  const shopId = job.shopId!
  // A thread that ended early may have stored displays without handing them over.
  if (job.attempts > 1) for (const snapshot of await snapshotsOfShop(db, shopId)) publication.put(snapshot)
  await workers.run('publishStale', { shopId, latestAsked: publication.latestAsked() }, { signal })
  // A variant for another product can depend on a review that its display does not.
  publication.forgetVariants(shopId)
}

import { snapshotsOfShop } from '../data/snapshots'
import type { Job } from '../jobs/job'
import type { Services } from '../services'
import type { Publication } from './published'

/** What the job does: the displays are rendered in a thread, which hands over each as it is stored. */
export async function rebuildDisplays(
  { db, workers }: Pick<Services, 'db' | 'workers'>,
  publication: Publication,
  job: Job,
  signal: AbortSignal,
): Promise<void> {
  const shopId = job.shopId!
  // A thread that ended early may have stored what it did not hand over.
  if (job.attempts > 1) for (const snapshot of await snapshotsOfShop(db, shopId)) publication.put(snapshot)
  await workers.run('publishStale', { shopId, latestAsked: publication.latestAsked() }, { signal })
}

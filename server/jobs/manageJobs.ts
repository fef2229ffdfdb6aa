import { askToCancel, jobsOfShop, listAgain, type JobLine } from '../data/jobs'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { cancellableKinds } from './job'

const MOST_SHOWN = 30

/** The running, failed and recently ended jobs of a shop. */
export function jobsView({ db }: Services, shop: Shop): Promise<JobLine[]> {
  return jobsOfShop(db, shop.id, MOST_SHOWN)
}

/** Cancels a job; what it has done stays. Returns false if there is nothing to cancel. */
export async function cancelJob(services: Services, shop: Shop, id: number): Promise<boolean> {
  const job = { shopId: shop.id, id, kinds: cancellableKinds }
  const outcome = await askToCancel(services.db, job, services.now().toISOString())
  if (outcome === 'asked') services.stopJob(id)
  services.changes.announce(shop.id)
  return outcome !== null
}

/** Restarts a failed or cancelled job. */
export async function retryJob(services: Services, shop: Shop, id: number): Promise<boolean> {
  const listed = await listAgain(services.db, shop.id, id, services.now().toISOString())
  services.wakeJobs()
  services.changes.announce(shop.id)
  return listed
}

import { askToCancel, jobsOfShop, listAgain, type JobLine } from '../data/jobs'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { cancellableKinds } from './job'

const MOST_SHOWN = 30

/** What is being done for a shop, what waits to be tried again, and what has ended lately. */
export function jobsView({ db }: Services, shop: Shop): Promise<JobLine[]> {
  return jobsOfShop(db, shop.id, MOST_SHOWN)
}

/** Ends a job of a shop; what it has done by then stays. Answers false when there is none to end. */
export async function cancelJob(services: Services, shop: Shop, id: number): Promise<boolean> {
  const job = { shopId: shop.id, id, kinds: cancellableKinds }
  const outcome = await askToCancel(services.db, job, services.now().toISOString())
  if (outcome === 'asked') services.stopJob(id)
  services.changes.announce(shop.id)
  return outcome !== null
}

/** Has a job that failed or was cancelled go on. */
export async function retryJob(services: Services, shop: Shop, id: number): Promise<boolean> {
  const listed = await listAgain(services.db, shop.id, id, services.now().toISOString())
  services.wakeJobs()
  services.changes.announce(shop.id)
  return listed
}

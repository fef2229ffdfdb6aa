import { appendDecision } from '../data/decisions'
import { applyDecisionState, readDecisionState } from '../data/decisionStates'
import { findProductChange, type ProductChange } from '../data/productChanges'
import { findReview } from '../data/reviewReading'
import { reviewsMovedBy, reviewsOfProduct } from '../data/reviewsOfProduct'
import { findShop, type Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Job } from '../jobs/job'
import { digestOfVersion } from '../moderation/digest'
import { recheckProofs } from '../proof/recheckProofs'
import { markAllStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { TaskStopped, type TaskControl } from '../workers/task'
import { moveReviewsSchema, type MoveReviews } from './moveReviewsJob'

/** The job; a thread does the work. */
export async function runMoveReviews(services: Services, job: Job, signal: AbortSignal): Promise<void> {
  const input = { shopId: job.shopId!, ...moveReviewsSchema.parse(job.payload) }
  await services.workers.run('moveReviews', input, { signal })
}

const AT_A_TIME = 25

/**
 * Moves the reviews of a merged product to the product it was merged into, or back, in short transactions. It
 * can stop at any time and continue. Then purchases are checked again, because orders moved as well.
 * @throws TaskStopped when it was asked to stop
 */
export async function moveReviews(
  services: Services,
  { shopId, change: id, back }: MoveReviews & { shopId: number },
  control: TaskControl,
): Promise<void> {
  const shop = await findShop(services.db, shopId)
  const change = await findProductChange(services.db, shopId, { id })
  if (!change || change.intoId === null || (change.undoneAt !== null) !== back) return
  for (;;) {
    const some = back
      ? await reviewsMovedBy(services.db, shopId, change, AT_A_TIME)
      : await reviewsOfProduct(services.db, shopId, change.productId, AT_A_TIME)
    if (some.length > 0) await moveSome(services, shop, change, some, back)
    if (some.length < AT_A_TIME) break
    if (control.isStopped()) throw new TaskStopped()
    control.giveWay()
  }
  await recheckProofs(services, shop, { after: 0, save: async () => undefined }, control)
  services.changes.announce(shopId)
  services.wakeJobs()
}

async function moveSome(
  services: Services,
  shop: Shop,
  { productId, intoId, actor, publicId }: ProductChange,
  reviewIds: number[],
  back: boolean,
): Promise<void> {
  await writing(services.db, async (trx) => {
    const now = services.now().toISOString()
    for (const reviewId of reviewIds) {
      const before = await readDecisionState(trx, shop.id, reviewId)
      const after = { ...before, productId: back ? productId : intoId }
      await applyDecisionState(trx, shop.id, reviewId, before, after, now)
      await appendDecision(trx, {
        shopId: shop.id,
        act: back ? 'unmerge' : 'merge',
        actor,
        reviewId,
        before: { ...before },
        after: { ...after },
        digest: digestOfVersion((await findReview(trx, shop.id, { id: reviewId }))!),
        at: now,
        batch: publicId,
      })
    }
    await markAllStale(trx, shop.id, now)
  })
}

import type { Knex } from 'knex'
import { changedParts, type DecisionPart, type DecisionState } from '../../core/moderation/decisionState'
import { allLiveDisplays } from '../data/displays'
import { skuKeysOf } from '../data/products'
import { hasLiveDisplay, markDisplaysStale, markScopesStale, markShowingStale } from '../data/staleDisplays'
import { writing } from '../data/writing'
import { enqueue } from '../jobs/queue'
import type { Services } from '../services'

export const REBUILD = 'rebuildDisplays'

/** The job also drops what was rendered on demand, so it runs even if no display is marked. */
async function askForRebuild(trx: Knex.Transaction, shopId: number, now: string): Promise<void> {
  if (!(await hasLiveDisplay(trx, shopId))) return
  await enqueue(trx, { shopId, kind: REBUILD, uniqueKey: `${REBUILD}:${shopId}`, payload: {}, dueAt: now })
}

/** Marks a display for rendering and queues the job, in the transaction of the change. */
export async function markStale(
  trx: Knex.Transaction,
  shopId: number,
  displayId: number,
  now: string,
): Promise<void> {
  await markDisplaysStale(trx, shopId, displayId)
  await askForRebuild(trx, shopId, now)
}

/** After a change of the shop or its products. */
export async function markAllStale(trx: Knex.Transaction, shopId: number, now: string): Promise<void> {
  await markDisplaysStale(trx, shopId)
  await askForRebuild(trx, shopId, now)
}

/** After a change of reviews of some products: they can be selected, and count in averages. */
export async function markProductsStale(
  trx: Knex.Transaction,
  shopId: number,
  productIds: (number | null)[],
  now: string,
): Promise<void> {
  if (!(await hasLiveDisplay(trx, shopId))) return
  await markScopesStale(trx, shopId, await skuKeysOf(trx, shopId, productIds))
  await askForRebuild(trx, shopId, now)
}

/** After a change of what is shown with a review, such as its reply. */
export async function markReviewStale(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  now: string,
  tagsChanged = false,
): Promise<void> {
  await markShowingStale(trx, shopId, reviewId, tagsChanged)
  await askForRebuild(trx, shopId, now)
}

/** Selections and averages depend on these. */
const facetParts: DecisionPart[] = ['state', 'showable', 'publishedVersionId', 'productId', 'verificationId']
const shownParts: DecisionPart[] = ['replyId', 'declinedPhotoIds', 'tagIds']

const isPublic = ({ publishedVersionId, showable }: DecisionState) => publishedVersionId !== null && showable

/** Marks the displays that a decision on a review can change. */
export async function markDecisionStale(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  { before, after }: { before: DecisionState; after: DecisionState },
  now: string,
): Promise<void> {
  if (!isPublic(before) && !isPublic(after)) return
  const changed = changedParts(before, after)
  if (changed.some((part) => facetParts.includes(part)))
    await markProductsStale(trx, shopId, [before.productId, after.productId], now)
  if (changed.some((part) => shownParts.includes(part)))
    await markReviewStale(trx, shopId, reviewId, now, changed.includes('tagIds'))
}

/** After an update of the application, all published displays are rendered again. */
export async function markInstallationStale({ db, now }: Pick<Services, 'db' | 'now'>): Promise<void> {
  await writing(db, async (trx) => {
    for (const { id, shopId } of await allLiveDisplays(trx))
      await markStale(trx, shopId, id, now().toISOString())
  })
}

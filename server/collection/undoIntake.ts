import type { Knex } from 'knex'
import type { Actor } from '../../core/moderation/actor'
import { changedParts, revertChange, type DecisionState } from '../../core/moderation/decisionState'
import {
  appendDecisions,
  countOfIntake,
  isOvertaken,
  latestOfIntake,
  readDecisionStates,
  type Decision,
} from '../data/decisions'
import { applyDecisionState, readDecisionState } from '../data/decisionStates'
import { findIntake, setIntakeUndone, type Intake } from '../data/intakes'
import { versionWords } from '../data/reviewReading'
import { findShop, type Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Job, JobControl } from '../jobs/job'
import { enqueue } from '../jobs/queue'
import { digestOfVersion } from '../moderation/digest'
import { markProductsStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { TaskStopped, type TaskControl } from '../workers/task'
import { UNDO_INTAKE, undoIntakeSchema, type UndoIntake } from './undoIntakeJob'

/**
 * Undoes an intake as a whole, or brings it back; a job does the work.
 * @returns false if there is no such intake, or nothing to do
 */
export async function askToUndoIntake(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  back = false,
): Promise<boolean> {
  const now = services.now().toISOString()
  const asked = await writing(services.db, async (trx) => {
    const intake = await findIntake(trx, shop.id, publicId)
    if (!intake || intake.undone !== back) return false
    await setIntakeUndone(trx, intake.id, !back)
    const payload: UndoIntake = { intake: publicId, back, actor }
    await enqueue(trx, {
      shopId: shop.id,
      kind: UNDO_INTAKE,
      uniqueKey: `${UNDO_INTAKE}:${publicId}`,
      payload,
      dueAt: now,
    })
    return true
  })
  services.wakeJobs()
  return asked
}

/** The job; a thread does the work. */
export async function runUndoIntake(
  services: Services,
  job: Job,
  { signal, progress }: JobControl,
): Promise<void> {
  const input = { shopId: job.shopId!, ...undoIntakeSchema.parse(job.payload) }
  await services.workers.run('undoIntake', input, {
    signal,
    progress: (done, total) => void progress(done, total),
  })
}

/** A review takes about 3 ms, and a request waits for one transaction at most. */
const AT_ONCE = 6

/**
 * Reverts the latest entry about each review of an intake, in short transactions. Its new reviews leave every
 * list and display; changed ones say again what they said before, unless somebody has decided on them since.
 * It can stop at any time and continue.
 * @throws TaskStopped when it was asked to stop
 */
export async function undoIntake(
  services: Services,
  { shopId, intake: publicId, back, actor }: UndoIntake & { shopId: number },
  control: TaskControl,
): Promise<void> {
  const { db } = services
  const shop = await findShop(db, shopId)
  const intake = await findIntake(db, shopId, publicId)
  // Asked for the other direction meanwhile: a later job does that.
  if (!intake || intake.undone === back) return
  const total = await countOfIntake(db, shopId, publicId)
  let before = Number.MAX_SAFE_INTEGER
  for (let done = 0; ;) {
    const entries = await latestOfIntake(db, shopId, publicId, { before, undone: back, limit: AT_ONCE })
    if (entries.length === 0) break
    await writing(db, (trx) => revertSome(services, trx, shop, { intake, actor, back }, entries))
    before = entries.at(-1)!.id
    done += entries.length
    control.progress(done, total)
    if (control.isStopped()) throw new TaskStopped()
    control.giveWay()
  }
  services.changes.announce(shopId)
  services.wakeJobs()
}

async function revertSome(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  { intake, actor, back }: { intake: Intake; actor: Actor; back: boolean },
  decisions: Decision[],
): Promise<void> {
  const at = services.now().toISOString()
  const entries = []
  const products = new Set<number | null>()
  for (const decision of decisions) {
    const reviewId = decision.reviewId!
    const before = await readDecisionState(trx, shop.id, reviewId)
    const after = await reverted(trx, decision, before, back)
    if (!after || changedParts(before, after).length === 0) continue
    await applyDecisionState(trx, shop.id, reviewId, before, after, at)
    if (before.publishedVersionId !== null || after.publishedVersionId !== null) products.add(after.productId)
    const words = await versionWords(trx, after.versionId)
    entries.push({
      act: back ? 'redoIntake' : 'undoIntake',
      actor,
      reviewId,
      undoesId: decision.id,
      before: { ...before },
      after: { ...after },
      digest: digestOfVersion(words),
      at,
      batch: intake.publicId,
    })
  }
  if (entries.length > 0) await appendDecisions(trx, shop.id, entries)
  if (products.size > 0) await markProductsStale(trx, shop.id, [...products], at)
}

/** Null if the entry stays. */
async function reverted(
  trx: Knex.Transaction,
  decision: Decision,
  present: DecisionState,
  back: boolean,
): Promise<DecisionState | null> {
  const states = readDecisionStates(decision)
  // The arrival itself: whatever was decided since goes with it, and comes back with it.
  const isArrival = states.before.state === undefined || states.before.state === 'undone'
  if (!back && isArrival) return { ...present, state: 'undone', publishedVersionId: null, publishedAt: null }
  // Received again meanwhile.
  if (back && states.after.state === 'undone' && present.state !== 'undone') return null
  if (await isOvertaken(trx, decision)) return null
  return revertChange(states, present)
}

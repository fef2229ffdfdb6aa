import { asSystem } from '../../core/moderation/actor'
import type { Knex } from 'knex'
import { messageCode } from '../../core/messages/code'
import { confirmationOf, replaceRenewedSignals } from '../data/confirmations'
import { noteRevocation, provableReviews, setProofFailure, type Provable } from '../data/evidence'
import { findReview } from '../data/reviewReading'
import { applyDecisionState, readDecisionState } from '../data/decisionStates'
import { insertProof } from '../data/reviewWriting'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import { digestOfVersion } from '../moderation/digest'
import { goesOnByItself, judgeAgain, moveByRules } from '../moderation/judgeAgain'
import { markProductsStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { TaskStopped, type TaskControl } from '../workers/task'
import type { ProofChange } from './orderImport'
import { proveBuyer, type BuyerProof } from './proveBuyer'

/** The progress, and how it is stored with the changes. */
interface RecheckProgress {
  /** Reviews are done up to this id. */
  after: number
  save: (trx: Knex, after: number, change?: ProofChange) => Promise<void>
}

const AT_A_TIME = 100

/**
 * Checks verifications again after the orders have changed: new ones are added, invalid ones are revoked with
 * a reason. Manual decisions stay.
 * @throws TaskStopped when it was asked to stop
 */
export async function recheckProofs(
  services: Services,
  shop: Shop,
  { after, save }: RecheckProgress,
  control: TaskControl,
): Promise<void> {
  for (let done = after; ;) {
    const some = await provableReviews(services.db, shop.id, done, AT_A_TIME)
    for (const review of some.filter(({ method }) => method !== 'manual')) {
      if (control.isStopped()) throw new TaskStopped()
      const proof = await proveBuyer(services.db, shop, { ...review, writtenAt: review.receivedAt })
      if (proof.line?.id === (review.lineId ?? undefined)) continue
      control.giveWay()
      await keep(services, shop, review, proof, save)
    }
    if (some.length > 0) done = some.at(-1)!.id
    await writing(services.db, (trx) => save(trx, done))
    if (some.length < AT_A_TIME) return
  }
}

async function keep(
  services: Services,
  shop: Shop,
  review: Provable,
  proof: BuyerProof,
  save: RecheckProgress['save'],
): Promise<void> {
  const was = review.verificationId !== null
  const is = proof.line !== null
  const failure = is
    ? null
    : messageCode(`proof.${proof.failure}`, { number: review.orderNumber, product: review.productSku })
  await writing(services.db, async (trx) => {
    const now = services.now().toISOString()
    const before = await readDecisionState(trx, shop.id, review.id)
    if (was) await noteRevocation(trx, review.verificationId!, null, failure ?? messageCode('proof.better'))
    await applyDecisionState(trx, shop.id, review.id, before, { ...before, verificationId: null }, now)
    await setProofFailure(trx, review.id, proof.failure)
    if (proof.line)
      await insertProof(trx, shop.id, review.id, { lineId: proof.line.id, method: proof.by }, now)
    const stored = await confirmationOf(trx, shop.id, review.id)
    const judged = await judgeAgain(trx, shop, stored, { verified: is })
    await replaceRenewedSignals(trx, shop.id, stored.versionId, judged.renewed)
    await moveByRules(
      trx,
      shop,
      stored,
      before,
      goesOnByItself(stored)
        ? judged
        : { state: stored.state, byRule: null, unconfirmed: stored.waitedForWriter },
      {
        act: is ? 'prove' : 'unprove',
        actor: asSystem,
        digest: digestOfVersion((await findReview(trx, shop.id, { id: review.id }))!),
        at: now,
      },
    )
    const after = await readDecisionState(trx, shop.id, review.id)
    if (after.publishedVersionId !== null) await markProductsStale(trx, shop.id, [after.productId], now)
    const why = proof.line
      ? messageCode(`proof.short.${proof.by}`, { number: proof.line.orderNumber })
      : failure!
    const { publicId, authorName } = review
    await save(trx, review.id, was === is ? undefined : { publicId, authorName, verified: is, why })
  })
}

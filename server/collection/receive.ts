import type { Candidate } from '../../core/intake/candidate'
import { isShowable, sourcePolicies } from '../../core/intake/sourcePolicy'
import type { Actor } from '../../core/moderation/actor'
import { countIntake, type Intake } from '../data/intakes'
import { knownReviews, type KnownReview } from '../data/knownReviews'
import { productsWithSkus, skuKey } from '../data/products'
import { findReceipt, type Receipt } from '../data/receipts'
import { rulesOfShop, type ShopRule } from '../data/rules'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { changeKnown, isChanged } from './changeKnown'
import { asksTooMany, mayInvite } from './confirmation'
import { storedIdentity } from './identity'
import type { Arrived, Batch, Received } from './arrived'
import { judge } from './judge'
import { newReview } from './newReview'
import { storeNew } from './storeNew'

/**
 * Receives reviews from any source: already known, proof, signals, rules, stored and logged. They are stored
 * in one transaction: all or none.
 * @returns also the time of the longest transaction in milliseconds
 */
export async function receive(
  services: Services,
  shop: Shop,
  batch: Batch,
): Promise<{ received: Received[]; writingMs: number }> {
  const { db } = services
  const products = await productsWithSkus(
    db,
    shop.id,
    batch.candidates.map(({ productSku }) => productSku),
  )
  const rules = await rulesOfShop(db, shop.id)
  const received: Received[] = []
  let writingMs = 0
  for (const candidates of withoutRepeats(batch.candidates)) {
    const found = candidates.map((candidate) => {
      const product = candidate.productSku === '' ? undefined : products.get(skuKey(candidate.productSku))
      return { candidate: { ...candidate, productSku: product?.sku ?? '' }, product }
    })
    const part = await receiveDistinct(services, shop, { ...batch, rules }, found)
    received.push(...part.received)
    writingMs = Math.max(writingMs, part.writingMs)
  }
  services.changes.announce(shop.id, 'reviews')
  services.wakeJobs()
  return { received, writingMs }
}

/** Receives a single review. */
export async function receiveOne(
  services: Services,
  shop: Shop,
  actor: Actor,
  candidate: Candidate,
  intake: Intake | null = null,
): Promise<Receipt> {
  const { received } = await receive(services, shop, { actor, intake, candidates: [candidate] })
  const { receipt, reviewId } = received[0]!
  return receipt ?? (await findReceipt(services.db, shop.id, { id: reviewId }))!
}

/** Parts in which no review comes twice, so that the second is compared with the stored first. */
function withoutRepeats(candidates: Candidate[]): Candidate[][] {
  const parts: Candidate[][] = []
  let seen = new Set<string>()
  for (const candidate of candidates) {
    const identity = storedIdentity(candidate)
    const key = JSON.stringify(identity)
    const isAlone = Object.values(identity).every((value) => value === null || value === '')
    const repeats = seen.has(key) && !isAlone
    if (repeats) seen = new Set()
    if (repeats || parts.length === 0) parts.push([])
    seen.add(key)
    parts.at(-1)!.push(candidate)
  }
  return parts
}

type Found = Pick<Arrived, 'candidate' | 'product'>

async function receiveDistinct(
  services: Services,
  shop: Shop,
  batch: Batch & { rules: ShopRule[] },
  found: Found[],
): Promise<{ received: Received[]; writingMs: number }> {
  const identities = found.map(({ candidate }) => storedIdentity(candidate))
  const known = await knownReviews(services.db, shop.id, identities)
  const arrived = await Promise.all(
    found.map(async (one, i): Promise<Arrived | null> => {
      const earlier = known[i]!
      if (earlier && !isChanged(one.candidate, earlier)) return null
      const judged = await judge(services, shop, one.candidate, earlier, batch.rules)
      const asks = sourcePolicies[one.candidate.source].asksToConfirm && judged.state !== 'spam' && !earlier
      return {
        ...one,
        known: earlier,
        judged,
        review: newReview(services, { ...one, judged }, batch.intake?.id ?? null),
        invited: asks && (await mayInvite(services, one.candidate)) && !(await asksTooMany(services, shop)),
      }
    }),
  )
  let forgotten: Arrived[] = arrived.filter((one) => one !== null)
  try {
    let start = 0
    const received = await writing(services.db, async (trx) => {
      start = performance.now()
      // Another request can have stored the same review meanwhile.
      const now = await knownReviews(trx, shop.id, identities)
      const isNew = (i: number) => arrived[i]?.known === null && now[i] === null
      const stored = await storeNew(
        services,
        trx,
        shop,
        batch,
        arrived.filter((one, i) => isNew(i)) as Arrived[],
      )
      const each: Received[] = []
      for (const [i, one] of arrived.entries()) {
        if (one && isNew(i)) each.push(stored.shift()!)
        else if (one?.known && (await changeKnown(services, trx, shop, batch, one)))
          each.push({ ...named(one.known), outcome: 'changed', receipt: receiptOf(one) })
        else each.push({ ...named(now[i]!), outcome: 'known', receipt: null })
      }
      if (batch.intake) await countIntake(trx, batch.intake.id, countsOf(each))
      return each
    })
    forgotten = forgotten.filter((one) => received[arrived.indexOf(one)]!.outcome === 'known')
    return { received, writingMs: performance.now() - start }
  } finally {
    for (const { candidate, judged } of forgotten)
      if (sourcePolicies[candidate.source].compared)
        await services.workers
          .run('forgetArrival', { shopId: shop.id, id: judged.publicId })
          .catch(() => undefined)
  }
}

const named = ({ id, publicId }: KnownReview) => ({ reviewId: id, publicId })

const receiptOf = ({ candidate, judged, invited }: Arrived): Receipt => ({
  publicId: judged.publicId,
  state: judged.state,
  showable: isShowable(candidate.source, candidate.consent.answer),
  hasAddress: candidate.authorEmail !== '',
  confirm: invited,
  unconfirmed: judged.unconfirmed,
})

function countsOf(received: Received[]): Record<Received['outcome'], number> {
  const counts = { stored: 0, changed: 0, known: 0 }
  for (const { outcome } of received) counts[outcome]++
  return counts
}

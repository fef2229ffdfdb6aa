import type { Knex } from 'knex'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import type { DecisionState } from '../../core/moderation/decisionState'
import type { StoredState } from '../../core/moderation/rules'
import type { Signal, SignalKind } from '../../core/moderation/signal'
import { writersSignals } from '../../core/moderation/signals/writers'
import type { Confirmable } from '../data/confirmations'
import { applyDecisionState, readDecisionState } from '../data/decisionStates'
import { appendDecision } from '../data/decisions'
import { setUnconfirmed } from '../data/reviewWriting'
import { rulesOfShop } from '../data/rules'
import type { Shop } from '../data/shops'
import { applyRules, type RulesOutcome } from './applyRules'

/** What differs from what is stored of the review. */
interface NewFacts {
  confirmed?: boolean
  verified?: boolean
  /** Its signals and their points, without those that are found out anew. */
  kinds?: SignalKind[]
  score?: number
  rating?: number | null
  language?: string | null
  productSku?: string
  /** The state if no rule matches. */
  otherwise?: 'waiting' | 'approved'
}

interface JudgedAgain extends RulesOutcome {
  /** The signals that are found out anew each time. */
  renewed: Signal[]
}

/** Applies the rules to a stored review with the same facts, rules and settings as when it came. */
export async function judgeAgain(
  db: Knex,
  shop: Shop,
  review: Confirmable,
  {
    confirmed = review.confirmedAt !== null,
    verified = review.verified,
    kinds = review.kinds,
    score = review.score,
    rating = review.rating,
    language = review.language,
    productSku = review.productSku,
    otherwise = startingState(review),
  }: NewFacts,
): Promise<JudgedAgain> {
  const missing = writersSignals(review.writers, {
    confirmed,
    verified,
    photos: sourcePolicies[review.source].checksPhotos ? review.photos : 0,
  })
  const outcome = applyRules(
    {
      score,
      kinds: [...kinds, ...missing.map(({ kind }) => kind)],
      rating,
      source: review.source,
      language,
      product: productSku,
      verified,
    },
    otherwise,
    await rulesOfShop(db, shop.id),
  )
  return { ...outcome, renewed: [...missing, ...outcome.ruleSignals] }
}

/** A change by the customer waits, whatever the setting is. */
function startingState({
  source,
  arrivesAs,
  versionNumber,
}: Pick<Confirmable, 'source' | 'arrivesAs' | 'versionNumber'>): 'waiting' | 'approved' {
  const { startsAs, typedBy } = sourcePolicies[source]
  if (typedBy === 'customer' && versionNumber > 1) return 'waiting'
  return startsAs === 'asSet' ? (arrivesAs ?? 'waiting') : startsAs
}

/** Decisions of members stay: only what the rules held back goes on by itself. */
export const goesOnByItself = ({ state, decidedByPerson }: Pick<Confirmable, 'state' | 'decidedByPerson'>) =>
  state === 'held' && !decidedByPerson

/**
 * Puts a review into the state that the rules gave it and logs it: what made them apply again, and the rule of the
 * shop that decided, if one did.
 * @param before the state before what made them apply again
 * @param entry without `before` and `after`
 */
export async function moveByRules(
  trx: Knex.Transaction,
  shop: Shop,
  review: Pick<Confirmable, 'id' | 'versionId'>,
  before: DecisionState,
  { state, byRule, unconfirmed }: { state: StoredState } & Pick<JudgedAgain, 'byRule' | 'unconfirmed'>,
  entry: Omit<Parameters<typeof appendDecision>[1], 'shopId' | 'reviewId' | 'before' | 'after'>,
): Promise<void> {
  const now = await readDecisionState(trx, shop.id, review.id)
  const inState = (to: StoredState) => ({
    ...now,
    state: to,
    ...(to === 'approved' && {
      publishedVersionId: review.versionId,
      publishedAt: now.publishedAt ?? entry.at,
    }),
  })
  const after = inState(state)
  await applyDecisionState(trx, shop.id, review.id, now, after, entry.at)
  await setUnconfirmed(trx, shop.id, review.id, unconfirmed)
  const ids = { shopId: shop.id, reviewId: review.id }
  const between = inState(byRule?.stateBefore ?? state)
  await appendDecision(trx, { ...entry, ...ids, before: { ...before }, after: { ...between } })
  if (byRule)
    await appendDecision(trx, {
      ...entry,
      ...ids,
      act: 'rule',
      actor: { kind: 'rule', rule: byRule.rule },
      before: { ...between },
      after: { ...after },
    })
}

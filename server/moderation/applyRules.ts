import { messageCode } from '../../core/messages/code'
import {
  arrivalState,
  matchingRules,
  startingRules,
  waitsForWriter,
  type ArrivalState,
  type RuleFacts,
} from '../../core/moderation/rules'
import type { Signal } from '../../core/moderation/signal'
import type { ShopRule } from '../data/rules'

export interface RulesOutcome {
  state: ArrivalState
  /** The rule of the shop that decided the state, and what it was without. */
  byRule: { rule: string; stateBefore: ArrivalState } | null
  /** Held back only for reasons that its writer can remove. */
  unconfirmed: boolean
  /** One for each rule of the shop that matched. */
  ruleSignals: Signal[]
}

/**
 * The starting rules and those of the shop on a review.
 * @param otherwise the state if no rule matches
 * @param stays the state that it keeps, whatever the rules say; null for none
 */
export function applyRules(
  facts: RuleFacts,
  otherwise: 'waiting' | 'approved',
  ownRules: ShopRule[],
  stays: ArrivalState | null = null,
): RulesOutcome {
  const matched = matchingRules(ownRules, facts)
  const rules = [...startingRules, ...matched]
  const state = stays ?? arrivalState(facts, otherwise, rules)
  const stateBefore = stays ?? arrivalState(facts, otherwise)
  return {
    state,
    byRule:
      state === stateBefore ? null : { rule: matched.find(({ then }) => then === state)!.id, stateBefore },
    unconfirmed: state === 'held' && waitsForWriter(facts, rules),
    ruleSignals: matched.map(ruleSignal),
  }
}

const ruleSignal = ({ name, then }: ShopRule): Signal => {
  const kind = then === 'approved' ? 'approvingRule' : 'rule'
  return { kind, points: 0, headline: messageCode(`signal.${kind}`, { name }), detail: '', places: [] }
}

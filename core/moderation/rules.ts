import { z } from 'zod'
import { sources } from '../intake/sourcePolicy'
import { holdingKinds, signalKinds, type SignalKind } from './signal'

export const reviewStates = ['waiting', 'held', 'approved', 'declined', 'spam', 'withdrawn'] as const
export type ReviewState = (typeof reviewStates)[number]
/** Also that of a review whose intake was undone; it is in no list. */
export const storedStates = [...reviewStates, 'undone'] as const
export type StoredState = (typeof storedStates)[number]
/** A person still has to decide. */
export const openStates: ReviewState[] = ['waiting', 'held']
export type ArrivalState = Extract<ReviewState, 'waiting' | 'held' | 'approved' | 'spam'>

export const HELD_FROM = 60
export const SPAM_FROM = 90

const conditionSchema = z.discriminatedUnion('on', [
  /** Points for spam. */
  z.object({ on: z.literal('score'), atLeast: z.number() }),
  z.object({ on: z.literal('signal'), anyOf: z.array(z.enum(signalKinds)).min(1) }),
  /** Hundredths of five stars; a review without a rating doesn't match. */
  z.object({ on: z.literal('rating'), atLeast: z.number().optional(), atMost: z.number().optional() }),
  z.object({ on: z.literal('source'), anyOf: z.array(z.enum(sources)).min(1) }),
  z.object({ on: z.literal('language'), anyOf: z.array(z.string()).min(1) }),
  z.object({ on: z.literal('product'), anyOf: z.array(z.string()).min(1) }),
  z.object({ on: z.literal('verified'), is: z.boolean() }),
])
type Condition = z.infer<typeof conditionSchema>

/** All conditions have to match. Stored as JSON. */
export const ruleSchema = z.object({
  id: z.string().min(1).max(40),
  when: z.array(conditionSchema).min(1),
  then: z.enum(['approved', 'held', 'spam']),
})
export type Rule = z.infer<typeof ruleSchema>

/** What rules see of a review. All of it is needed: a fact that is missing matches no rule, and nobody is told. */
export interface RuleFacts {
  score: number
  kinds: SignalKind[]
  /** In hundredths of five stars. */
  rating: number | null
  source: (typeof sources)[number]
  language: string | null
  /** A SKU; empty without a product. */
  product: string
  verified: boolean
}

/** From somebody who is no verified buyer, these hold a review back, whatever their points. */
export const strangersKinds: SignalKind[] = ['link', 'contact']

/** The rules that every shop starts with. */
export const startingRules: Rule[] = [
  { id: 'spam', when: [{ on: 'score', atLeast: SPAM_FROM }], then: 'spam' },
  { id: 'suspicious', when: [{ on: 'score', atLeast: HELD_FROM }], then: 'held' },
  {
    id: 'links-of-strangers',
    when: [
      { on: 'signal', anyOf: strangersKinds },
      { on: 'verified', is: false },
    ],
    then: 'held',
  },
  {
    id: 'needs-a-look',
    when: [{ on: 'signal', anyOf: ['burst', ...holdingKinds] }],
    then: 'held',
  },
]

function matches(condition: Condition, facts: RuleFacts): boolean {
  switch (condition.on) {
    case 'score':
      return facts.score >= condition.atLeast
    case 'signal':
      return condition.anyOf.some((kind) => facts.kinds.includes(kind))
    case 'rating': {
      const { rating } = facts
      const { atLeast = 0, atMost = Infinity } = condition
      return rating !== null && rating >= atLeast && rating <= atMost
    }
    case 'source':
      return condition.anyOf.includes(facts.source)
    case 'language':
      return condition.anyOf.includes(facts.language ?? '')
    case 'product':
      return condition.anyOf.includes(facts.product)
    case 'verified':
      return facts.verified === condition.is
  }
}

export const matchingRules = <R extends Rule>(rules: R[], facts: RuleFacts): R[] =>
  rules.filter(({ when }) => when.every((condition) => matches(condition, facts)))

/** The writer can resolve these, so nobody needs to look at the review yet. */
const openKinds = new Set<SignalKind>(['unconfirmed', 'unverified', 'media'])
/** These are found out anew each time that the rules are applied. */
export const renewedKinds = new Set<SignalKind>([...openKinds, 'rule', 'approvingRule'])

/** Whether a missing confirmation is the only reason for holding a review. */
export function waitsForWriter(facts: RuleFacts, rules: Rule[] = startingRules): boolean {
  if (!facts.kinds.includes('unconfirmed')) return false
  const kinds = facts.kinds.filter((kind) => !openKinds.has(kind))
  const state = arrivalState({ ...facts, kinds }, 'waiting', rules)
  return state === 'waiting' || state === 'approved'
}

/** The strictest matching rule wins: spam before held before approved. */
export function arrivalState(
  facts: RuleFacts,
  otherwise: 'waiting' | 'approved' = 'waiting',
  rules: Rule[] = startingRules,
): ArrivalState {
  const outcomes = matchingRules(rules, facts).map((rule) => rule.then)
  return (['spam', 'held', 'approved'] as const).find((state) => outcomes.includes(state)) ?? otherwise
}

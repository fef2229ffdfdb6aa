import type { SignalKind } from './signal'

export const reviewStates = ['waiting', 'held', 'approved', 'declined', 'spam', 'withdrawn'] as const
export type ReviewState = (typeof reviewStates)[number]
/** In these a person still has to decide. */
export const openStates: ReviewState[] = ['waiting', 'held']
export type ArrivalState = Extract<ReviewState, 'waiting' | 'held' | 'approved' | 'spam'>

/** Spam scores from which a review is held, and from which it is spam. */
export const HELD_FROM = 60
export const SPAM_FROM = 90

const holdingKinds = new Set<SignalKind>([
  'burst',
  'personal',
  'abuse',
  'media',
  'unconfirmed',
  'unverified',
  'notoken',
  'nowork',
  'trap',
])

interface Weighed {
  score: number
  kinds: SignalKind[]
}

interface Rule {
  act: 'spam' | 'held'
  applies: (weighed: Weighed) => boolean
}

/** The rules that are on from the first day, as far as their signals exist. */
const startingRules: Rule[] = [
  { act: 'spam', applies: ({ score }) => score >= SPAM_FROM },
  { act: 'held', applies: ({ score }) => score >= HELD_FROM },
  { act: 'held', applies: ({ kinds }) => kinds.some((kind) => holdingKinds.has(kind)) },
]

/** Kinds that may go away by what the writer does, so that nobody needs to look meanwhile. */
export const openKinds = new Set<SignalKind>(['unconfirmed', 'unverified', 'media'])

/** Whether an arrival is held back for nothing but an open confirmation. */
export function waitsForWriter({ score, kinds }: Weighed): boolean {
  if (!kinds.includes('unconfirmed')) return false
  return arrivalState({ score, kinds: kinds.filter((kind) => !openKinds.has(kind)) }) === 'waiting'
}

/** The state of an arrival: the strongest act of the rules that apply, else what its source says. */
export function arrivalState(weighed: Weighed, otherwise: 'waiting' | 'approved' = 'waiting'): ArrivalState {
  const acts = startingRules.filter((rule) => rule.applies(weighed)).map((rule) => rule.act)
  return acts.includes('spam') ? 'spam' : acts.includes('held') ? 'held' : otherwise
}

import type { SignalKind } from './signal'

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

const startingRules: Rule[] = [
  { act: 'spam', applies: ({ score }) => score >= SPAM_FROM },
  { act: 'held', applies: ({ score }) => score >= HELD_FROM },
  { act: 'held', applies: ({ kinds }) => kinds.some((kind) => holdingKinds.has(kind)) },
]

/** The writer can resolve these, so nobody needs to look at the review yet. */
export const openKinds = new Set<SignalKind>(['unconfirmed', 'unverified', 'media'])

/** Whether a missing confirmation is the only reason for holding a review. */
export function waitsForWriter({ score, kinds }: Weighed): boolean {
  if (!kinds.includes('unconfirmed')) return false
  return arrivalState({ score, kinds: kinds.filter((kind) => !openKinds.has(kind)) }) === 'waiting'
}

/** The strongest matching rule wins. */
export function arrivalState(weighed: Weighed, otherwise: 'waiting' | 'approved' = 'waiting'): ArrivalState {
  const acts = startingRules.filter((rule) => rule.applies(weighed)).map((rule) => rule.act)
  return acts.includes('spam') ? 'spam' : acts.includes('held') ? 'held' : otherwise
}

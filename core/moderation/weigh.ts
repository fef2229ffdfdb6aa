import { say } from '../words/say'
import { contactSignal } from './contact'
import { fillTimeSignal } from './fillTime'
import { linkSignal } from './links'
import { personalSignal } from './personal'
import type { Signal, Words } from './signal'

/** What is known of an arrival beside its words. */
export interface Circumstances {
  ownDomains: string[]
  /** Keys of orders of this shop that the words may name. */
  knownOrderKeys: string[]
  /** Seconds between the form being handed out and its arrival; null when nobody knows. */
  fillSeconds: number | null
  /** Whether the form's signed token came along; true for ways in that have none. */
  tokenGood: boolean
  /** Whether the field that people never see was filled in. */
  trapSprung: boolean
}

/** All signals of a review: those with points first, the heaviest leading. */
export function weigh(words: Words, circumstances: Circumstances): Signal[] {
  return [
    linkSignal(words, circumstances.ownDomains),
    contactSignal(words),
    fillTimeSignal(circumstances.fillSeconds),
    personalSignal(words, circumstances.knownOrderKeys),
    circumstances.trapSprung ? holding('trap') : null,
    circumstances.tokenGood ? null : holding('notoken'),
  ]
    .filter((signal) => signal !== null)
    .sort((a, b) => b.points - a.points)
}

function holding(kind: 'trap' | 'notoken'): Signal {
  return { kind, points: 0, headline: say(`signal.${kind}`), detail: say(`signal.${kind}Detail`), places: [] }
}

/** The spam score, 0 to 100: the sum of the points, cut at both ends. */
export function spamScore(signals: Pick<Signal, 'points'>[]): number {
  return Math.min(
    100,
    Math.max(
      0,
      signals.reduce((sum, signal) => sum + signal.points, 0),
    ),
  )
}

import { messageCode } from '../messages/code'
import type { ReadArrival } from './memory/arrival'
import type { ArrivalHistory } from './memory/shopHistory'
import type { SubmissionChecks } from './submissionChecks'
import type { Signal } from './signal'
import { abuseSignal } from './signals/abuse'
import { burstSignal } from './signals/burst'
import { contactSignal } from './signals/contact'
import { fillTimeSignal } from './signals/fillTime'
import { gibberishSignal } from './signals/gibberish'
import { linkSignal } from './signals/link'
import { lookalikeSignal } from './signals/lookalike'
import { mismatchSignal } from './signals/mismatch'
import { nearCopySignal } from './signals/nearCopy'
import { personalSignal } from './signals/personal'
import { rivalSignal } from './signals/rival'
import { senderSignal } from './signals/sender'
import { templateSignal } from './signals/template'
import { wordingSignal } from './signals/wording'
import type { WordingModel } from './wording/model'

/** What is known of an arrival beside its words, its sender and those that came before. */
export interface Circumstances extends SubmissionChecks {
  ownDomains: string[]
  /** Keys of orders of this shop that the words may name. */
  knownOrderKeys: string[]
}

/** All that a signal may look at. */
export interface SignalContext extends Circumstances {
  arrival: ReadArrival
  history: ArrivalHistory
  model: WordingModel
}

/**
 * Every signal, each in a file of its own. A new one is a function from what is weighed to a signal or nothing, named
 * here and in `signal.ts`, with its words in the catalogue. Wording alone is asked after them.
 */
const signals: ((weighing: SignalContext) => Signal | null)[] = [
  ({ arrival, ownDomains }) => linkSignal(arrival.reading, ownDomains),
  ({ arrival, model }) => lookalikeSignal(arrival.reading, model),
  ({ arrival, history }) => nearCopySignal(arrival.reading, history.near, history.usualNearCopyShare),
  ({ arrival, history }) => senderSignal(arrival, history.sender),
  ({ arrival }) => fillTimeSignal(arrival.fillSeconds),
  ({ history }) => burstSignal(history.burst),
  ({ arrival }) => mismatchSignal(arrival.reading, arrival.rating),
  ({ arrival, model }) => gibberishSignal(arrival.reading, model),
  ({ arrival }) => rivalSignal(arrival.reading),
  ({ arrival }) => templateSignal(arrival.reading),
  ({ arrival }) => contactSignal(arrival.reading),
  ({ arrival }) => abuseSignal(arrival.reading),
  ({ arrival, knownOrderKeys }) => personalSignal(arrival.reading, knownOrderKeys),
  ({ trapSprung }) => (trapSprung ? holding('trap') : null),
  ({ tokenGood }) => (tokenGood ? null : holding('notoken')),
  ({ workMissing, tokenGood }) => (workMissing && tokenGood ? holding('nowork') : null),
]

/** All signals of a review: those with points first, the heaviest leading. */
export function weigh(weighing: SignalContext): Signal[] {
  const found: Signal[] = []
  for (const signal of signals) {
    const one = signal(weighing)
    if (one) found.push(one)
  }
  // Points are only taken off where there is something to take them off, so wording is asked last.
  const weighty = found.some(({ points }) => points > 0)
  const wording = wordingSignal(weighing.arrival.reading, weighing.model, weighty)
  if (wording) found.push(wording)
  return found.sort((a, b) => b.points - a.points)
}

function holding(kind: 'trap' | 'notoken' | 'nowork'): Signal {
  return {
    kind,
    points: 0,
    headline: messageCode(`signal.${kind}`),
    detail: messageCode(`signal.${kind}Detail`),
    places: [],
  }
}

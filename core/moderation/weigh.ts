import { messageCode } from '../messages/code'
import type { ReadArrival } from './memory/arrival'
import type { ArrivalHistory } from './memory/shopHistory'
import type { SubmissionChecks } from './submissionChecks'
import type { Signal } from './signal'
import { abuseSignal } from './signals/abuse'
import { burstSignal } from './signals/burst'
import { codeSignal } from './signals/code'
import { contactSignal } from './signals/contact'
import { fillTimeSignal } from './signals/fillTime'
import { gibberishSignal } from './signals/gibberish'
import { linkSignal } from './signals/link'
import { lookalikeSignal } from './signals/lookalike'
import { machineSignal } from './signals/machine'
import { mismatchSignal } from './signals/mismatch'
import { nearCopySignal } from './signals/nearCopy'
import { personalSignal } from './signals/personal'
import { rivalSignal } from './signals/rival'
import { senderSignal } from './signals/sender'
import { templateSignal } from './signals/template'
import { wordingSignal } from './signals/wording'
import type { WordingModel } from './wording/model'

export interface Circumstances extends SubmissionChecks {
  ownDomains: string[]
  /** Keys of the shop's orders that the text may mention. */
  knownOrderKeys: string[]
}

interface SignalContext extends Circumstances {
  arrival: ReadArrival
  history: ArrivalHistory
  model: WordingModel
}

const signals: ((weighing: SignalContext) => Signal | null)[] = [
  ({ arrival, ownDomains }) => linkSignal(arrival.reading, ownDomains),
  ({ arrival }) => lookalikeSignal(arrival.reading),
  ({ arrival, history }) => nearCopySignal(arrival.reading, history.near, history.usualNearCopyShare),
  ({ arrival, history }) => senderSignal(arrival, history.sender),
  ({ arrival }) => fillTimeSignal(arrival.fillSeconds),
  ({ history }) => burstSignal(history.burst),
  ({ arrival }) => mismatchSignal(arrival.reading, arrival.rating),
  ({ arrival }) => gibberishSignal(arrival.reading),
  ({ arrival }) => rivalSignal(arrival.reading),
  ({ arrival }) => templateSignal(arrival.reading),
  ({ arrival }) => contactSignal(arrival),
  ({ arrival }) => codeSignal(arrival.reading),
  ({ arrival }) => machineSignal(arrival.reading),
  ({ arrival }) => abuseSignal(arrival.reading),
  ({ arrival, knownOrderKeys }) => personalSignal(arrival.reading, knownOrderKeys),
  ({ trapSprung }) => (trapSprung ? holding('trap') : null),
  ({ tokenGood }) => (tokenGood ? null : holding('notoken')),
  ({ workMissing, tokenGood }) => (workMissing && tokenGood ? holding('nowork') : null),
]

/** All signals of a review, the most points first. */
export function weigh(weighing: SignalContext): Signal[] {
  const found: Signal[] = []
  for (const signal of signals) {
    const one = signal(weighing)
    if (one) found.push(one)
  }
  // The wording model may subtract points, so it runs last.
  const wording = wordingSignal(weighing.arrival.reading, weighing.model, found)
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

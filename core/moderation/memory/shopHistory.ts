import { BurstWatch, type Burst } from './burst'
import { readArrival, type Arriving, type ReadArrival } from './arrival'
import { fingerprintOf, type Fingerprint } from './fingerprint'
import { SenderBook, type SenderHistory } from './senders'
import { TripleIndex } from './tripleIndex'

/** An earlier review with nearly the same words. */
export interface NearReview {
  id: string
  /** Dice's coefficient of their word triples, 0 to 1. */
  share: number
  /** Its writer has the same email address or, without one, the same name. */
  sameSender: boolean
}

/** What earlier arrivals of a shop say of a new one. */
export interface ArrivalHistory {
  near: NearReview[]
  /** Share of the shop's earlier reviews that had a near-copy, 0 to 1. */
  usualNearCopyShare: number
  sender: SenderHistory
  burst: Burst | null
}

/** So few near-copies, or so few days, say nothing yet of what is usual. */
const MIN_ARRIVALS_FOR_BASELINE = 30
const MAX_BASELINE_ARRIVALS = 400
const BASELINE_MIN_AGE_MS = 3 * 86_400_000

const nobody: Set<string> = new Set()
/** How many of the latest arrivals are to be restored by `restoreLatest`. */
export const LATEST_COMPARED = 600

interface RememberedArrival {
  id: string
  sender: string
  at: number | null
  /** Whether it is a near-copy of somebody else's. */
  copied: boolean
  person: string
  ip: string
}

const senderOf = ({ mailbox, name }: Fingerprint) => mailbox || name

/** Remembers a shop's arrivals, as far as weighing the next one needs them: words, senders, and when they came. */
export class ShopHistory {
  private triples = new TripleIndex()
  private senders = new SenderBook()
  private bursts = new BurstWatch()
  private arrivals: RememberedArrival[] = []

  get size(): number {
    return this.arrivals.length
  }

  /** What the past says of an arrival, which from then on is part of it. */
  compareAndRemember(arriving: Arriving): {
    arrival: ReadArrival
    history: ArrivalHistory
    fingerprint: Fingerprint
  } {
    const arrival = readArrival(arriving)
    const fingerprint = fingerprintOf(arrival)
    return { arrival, history: this.compare(fingerprint), fingerprint }
  }

  /** Remembers earlier arrivals as they were stored, the oldest first, without comparing them with each other. */
  restore(fingerprints: Fingerprint[]): void {
    for (const one of fingerprints) {
      this.bursts.remember(one)
      this.remember(one, false)
    }
  }

  /** Remembers the latest of earlier arrivals and compares them, since the next arrival may belong to their burst. */
  restoreLatest(fingerprints: Fingerprint[]): void {
    for (const one of fingerprints) this.compare(one)
  }

  /** Whether an arrival was remembered. */
  remembers(id: string): boolean {
    return this.arrivals.findLastIndex((one) => one.id === id) >= 0
  }

  /** Takes an arrival back that could not be stored. */
  forget(id: string): void {
    const text = this.arrivals.findLastIndex((one) => one.id === id)
    if (text < 0) return
    const { person, ip } = this.arrivals[text]!
    this.triples.forget(text)
    this.senders.forget({ id, person, ip })
    this.bursts.forget(id)
  }

  private compare(one: Fingerprint): ArrivalHistory {
    const sender = senderOf(one)
    const { near: copies, sharedWording } = this.triples.findSimilar(one.triples)
    const near = copies.map(({ text, share }) => {
      const { id, sender: other } = this.arrivals[text]!
      return { id, share, sameSender: sender !== '' && other === sender }
    })
    const past: ArrivalHistory = {
      near,
      usualNearCopyShare: near.length === 0 ? 0 : this.usuallyNear(one.at),
      sender: this.senders.findSender(one),
      burst: this.bursts.compareAndRemember(
        one,
        sharedWording.length === 0 ? nobody : new Set(sharedWording.map((text) => this.arrivals[text]!.id)),
      ),
    }
    this.remember(
      one,
      near.some(({ sameSender }) => !sameSender),
    )
    return past
  }

  private remember(one: Fingerprint, copied: boolean): void {
    this.triples.add(one.triples)
    this.senders.remember(one)
    const { id, at, person, ip } = one
    this.arrivals.push({ id, sender: senderOf(one), at, copied, person, ip })
  }

  /** Of the earlier ones that came days ago, so that a flood is not its own excuse. */
  private usuallyNear(at: number | null): number {
    if (at === null) return 0
    let [settled, copied] = [0, 0]
    for (let i = Math.max(0, this.arrivals.length - MAX_BASELINE_ARRIVALS); i < this.arrivals.length; i++) {
      const one = this.arrivals[i]!
      if (one.at !== null && at - one.at <= BASELINE_MIN_AGE_MS) continue
      settled++
      if (one.copied) copied++
    }
    return settled < MIN_ARRIVALS_FOR_BASELINE ? 0 : copied / settled
  }
}

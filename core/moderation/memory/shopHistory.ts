import { BurstWatch, type Burst } from './burst'
import { readArrival, type Arriving, type ReadArrival } from './arrival'
import { fingerprintOf, type Fingerprint } from './fingerprint'
import { SenderBook, type SenderHistory } from './senders'
import { TripleIndex } from './tripleIndex'
import { WordSetIndex } from './wordSetIndex'

export interface NearReview {
  id: string
  /** Dice's coefficient of their word triples or, if these are in another order, of their words; 0 to 1. */
  share: number
  /** Whether the words are alike, but not their order. */
  reordered: boolean
  /** Its writer has the same email address or, without one, the same name. */
  sameSender: boolean
}

export interface ArrivalHistory {
  near: NearReview[]
  /** 0 to 1 */
  usualNearCopyShare: number
  sender: SenderHistory
  burst: Burst | null
}

const MIN_ARRIVALS_FOR_BASELINE = 30
const MAX_BASELINE_ARRIVALS = 400
const BASELINE_MIN_AGE_MS = 3 * 86_400_000

const nobody: Set<string> = new Set()
/** How many of the latest reviews `restoreLatest` should get. */
export const LATEST_COMPARED = 600

interface RememberedArrival {
  id: string
  sender: string
  at: number | null
  /** Whether it is a near-copy of a review by someone else. */
  copied: boolean
  person: string
  ip: string
}

const senderOf = ({ emailKey, name }: Fingerprint) => emailKey || name

/** The earlier reviews of a shop, as spam detection needs them. */
export class ShopHistory {
  private triples = new TripleIndex()
  private wordSets = new WordSetIndex()
  /** Positions of reviews in the indexes that count no more. */
  private forgotten = new Set<number>()
  private senders = new SenderBook()
  private bursts = new BurstWatch()
  private arrivals: RememberedArrival[] = []

  get size(): number {
    return this.arrivals.length
  }

  compareAndRemember(arriving: Arriving): {
    arrival: ReadArrival
    history: ArrivalHistory
    fingerprint: Fingerprint
  } {
    const arrival = readArrival(arriving)
    const fingerprint = fingerprintOf(arrival)
    return { arrival, history: this.compare(fingerprint), fingerprint }
  }

  /** Adds stored fingerprints, the oldest first, without comparing them. */
  restore(fingerprints: Fingerprint[]): void {
    for (const one of fingerprints) {
      this.bursts.remember(one)
      this.remember(one, false)
    }
  }

  /** Adds the latest fingerprints and compares them, because the next review may belong to their group. */
  restoreLatest(fingerprints: Fingerprint[]): void {
    for (const one of fingerprints) this.compare(one)
  }

  remembers(id: string): boolean {
    return this.arrivals.findLastIndex((one) => one.id === id) >= 0
  }

  /** Removes a review that could not be stored. */
  forget(id: string): void {
    const text = this.arrivals.findLastIndex((one) => one.id === id)
    if (text < 0) return
    const { person, ip } = this.arrivals[text]!
    this.forgotten.add(text)
    this.senders.forget({ id, person, ip })
    this.bursts.forget(id)
  }

  private compare(one: Fingerprint): ArrivalHistory {
    const sender = senderOf(one)
    const { near: copies, sharedWording } = this.triples.findSimilar(one.triples)
    const known = new Set(copies.map(({ text }) => text))
    const reordered = this.wordSets.findAlike(one.words).filter(({ text }) => !known.has(text))
    const near = [
      ...copies.map((copy) => ({ ...copy, reordered: false })),
      ...reordered.map((copy) => ({ ...copy, reordered: true })),
    ]
      .filter(({ text }) => !this.forgotten.has(text))
      .sort((a, b) => b.share - a.share || b.text - a.text)
      .map(({ text, ...copy }) => {
        const { id, sender: other } = this.arrivals[text]!
        return { id, ...copy, sameSender: sender !== '' && other === sender }
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
    this.wordSets.add(one.words)
    this.senders.remember(one)
    const { id, at, person, ip } = one
    this.arrivals.push({ id, sender: senderOf(one), at, copied, person, ip })
  }

  // Ignores recent reviews, so that a flood of copies does not become the baseline.
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

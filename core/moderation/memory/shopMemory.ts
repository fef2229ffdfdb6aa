import { BurstWatch, type Burst } from './burst'
import { readArrival, type Arriving, type ReadArrival } from './arrival'
import { SenderBook, type SenderHistory } from './senders'
import { TripleIndex } from './tripleIndex'

/** An earlier review with nearly the same words. */
export interface NearReview {
  id: string
  /** Dice's coefficient of their word triples, 0 to 1. */
  share: number
  /** Its writer has the same mailbox or, without one, the same name. */
  sameSender: boolean
}

/** What earlier arrivals of a shop say of a new one. */
export interface Past {
  near: NearReview[]
  /** Share of the shop's earlier reviews that had a near-copy, 0 to 1. */
  usuallyNear: number
  sender: SenderHistory
  burst: Burst | null
}

/** So few near-copies, or so few days, say nothing yet of what is usual. */
const USUAL_FROM = 30
const LOOKED_AT = 400
const SETTLED_MS = 3 * 86_400_000

const nobody: Set<string> = new Set()

/** Remembers a shop's arrivals, as far as weighing the next one needs them: words, senders, and when they came. */
export class ShopMemory {
  private triples = new TripleIndex()
  private senders = new SenderBook()
  private bursts = new BurstWatch()
  private arrivals: { id: string; sender: string; at: number | null; copied: boolean }[] = []

  get size(): number {
    return this.arrivals.length
  }

  /** What the past says of an arrival, which from then on is part of it. */
  meet(arriving: Arriving): { arrival: ReadArrival; past: Past } {
    const arrival = readArrival(arriving)
    const sender = arrival.mailbox || arrival.authorName.trim().toLowerCase()
    const { near: copies, akin } = this.triples.look(arrival.triples)
    const near = copies.map(({ text, share }) => {
      const { id, sender: other } = this.arrivals[text]!
      return { id, share, sameSender: sender !== '' && other === sender }
    })
    const past: Past = {
      near,
      usuallyNear: near.length === 0 ? 0 : this.usuallyNear(arrival.at),
      sender: this.senders.look(arrival),
      burst: this.bursts.watch(
        arrival,
        akin.length === 0 ? nobody : new Set(akin.map((text) => this.arrivals[text]!.id)),
      ),
    }
    this.triples.add(arrival.triples)
    this.senders.keep(arrival)
    this.arrivals.push({
      id: arrival.id,
      sender,
      at: arrival.at,
      copied: near.some((one) => !one.sameSender),
    })
    return { arrival, past }
  }

  /** Of the earlier ones that came days ago, so that a flood is not its own excuse. */
  private usuallyNear(at: number | null): number {
    if (at === null) return 0
    let [settled, copied] = [0, 0]
    for (let i = Math.max(0, this.arrivals.length - LOOKED_AT); i < this.arrivals.length; i++) {
      const one = this.arrivals[i]!
      if (one.at !== null && at - one.at <= SETTLED_MS) continue
      settled++
      if (one.copied) copied++
    }
    return settled < USUAL_FROM ? 0 : copied / settled
  }
}

import { readSender, type Arriving, type ReadArrival } from './arrival'
import { ownTraits, type Trait } from './traits'

/** Goes up when what is kept of an arrival changes, so that what was stored before is created again. */
export const FINGERPRINT_MODEL = 1

/** What is remembered of an arrival: everything that a later one is compared with, and none of its words. */
export interface Fingerprint {
  id: string
  /** Epoch milliseconds; null where nobody knows. */
  at: number | null
  mailbox: string
  /** The email address without dots and what follows a plus. */
  person: string
  /** The email address as it was typed, in lower case. */
  typed: string
  /** In lower case. */
  name: string
  domain: string
  network: string
  ip: string
  product: string
  traits: Trait[]
  /** As `tripleHashes` gives them: each once, rising. */
  triples: Int32Array
}

/** What of a fingerprint comes from the words and the form; all else stands with the review. */
export type Imprint = Pick<Fingerprint, 'traits' | 'triples'>

export const fingerprintOf = (arrival: ReadArrival): Fingerprint =>
  fingerprintFrom(arrival, { traits: ownTraits(arrival), triples: arrival.triples })

/** A fingerprint put together from what stands with a review and what was stored of its words. */
export function fingerprintFrom(
  arriving: Pick<Arriving, 'id' | 'authorName' | 'authorEmail' | 'ip' | 'receivedAt' | 'product'>,
  { traits, triples }: Imprint,
): Fingerprint {
  return {
    id: arriving.id,
    ...readSender(arriving),
    typed: arriving.authorEmail.trim().toLowerCase(),
    name: arriving.authorName.trim().toLowerCase(),
    product: arriving.product,
    traits,
    triples,
  }
}

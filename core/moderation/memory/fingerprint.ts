import { readSender, type Arriving, type ReadArrival } from './arrival'
import { ownTraits, type OwnTrait } from './traits'

/** Increment it when fingerprints change, so that stored ones are computed again. */
export const FINGERPRINT_MODEL = 2

/** What later reviews are compared with. It contains no text of the review. */
export interface Fingerprint {
  id: string
  /** Epoch milliseconds; null if unknown. */
  at: number | null
  emailKey: string
  /** The email address without dots and the part after a plus. */
  person: string
  /** As typed, in lower case. */
  typed: string
  /** In lower case. */
  name: string
  domain: string
  network: string
  ip: string
  product: string
  traits: OwnTrait[]
  /** Unique and ascending, see `tripleHashes`. */
  triples: Int32Array
  /** Unique and ascending, see `wordHashes`. */
  words: Int32Array
}

/** The stored part of a fingerprint; the rest is read from the review. */
export type Imprint = Pick<Fingerprint, 'traits' | 'triples' | 'words'>

export const fingerprintOf = (arrival: ReadArrival): Fingerprint =>
  fingerprintFrom(arrival, {
    traits: ownTraits(arrival),
    triples: arrival.triples,
    words: arrival.wordSet,
  })

export function fingerprintFrom(
  arriving: Pick<Arriving, 'id' | 'authorName' | 'authorEmail' | 'ip' | 'receivedAt' | 'product'>,
  { traits, triples, words }: Imprint,
): Fingerprint {
  return {
    id: arriving.id,
    ...readSender(arriving),
    typed: arriving.authorEmail.trim().toLowerCase(),
    name: arriving.authorName.trim().toLowerCase(),
    product: arriving.product,
    traits,
    triples,
    words,
  }
}

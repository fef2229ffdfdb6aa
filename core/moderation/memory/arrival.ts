import { lineAndNetworkOf } from '../../formats/ipAddress'
import { emailKeyOf, recipientKey } from '../../proof/emailKey'
import { readWords, tripleHashes, wordHashes, type Reading } from '../reading'

/** A new review. Unknown values are empty or null. */
export interface Arriving {
  id: string
  title: string
  body: string
  /** Hundredths of five stars. */
  rating: number | null
  authorName: string
  authorEmail: string
  /** IPv4 or IPv6. */
  ip: string
  /** UTC ISO-8601. */
  receivedAt: string | null
  product: string
  fillSeconds: number | null
  /** Whether the writer is a verified buyer; null if nobody knows. */
  verified: boolean | null
}

/** A review, parsed once for all signals. */
export interface ReadArrival extends Arriving {
  reading: Reading
  triples: Int32Array
  /** See `wordHashes`. */
  wordSet: Int32Array
  /** Epoch milliseconds. */
  at: number | null
  emailKey: string
  /** The email address without dots and the part after a plus, the same for all aliases. */
  person: string
  domain: string
  /** See `networkOf`. */
  network: string
}

type Sender = Pick<ReadArrival, 'at' | 'emailKey' | 'person' | 'domain' | 'network' | 'ip'>

export function readSender(arriving: Pick<Arriving, 'authorEmail' | 'ip' | 'receivedAt'>): Sender {
  const emailKey = arriving.authorEmail === '' ? '' : emailKeyOf(arriving.authorEmail)
  const cut = emailKey.lastIndexOf('@')
  const { line, network } = lineAndNetworkOf(arriving.ip)
  const at = arriving.receivedAt === null ? NaN : Date.parse(arriving.receivedAt)
  return {
    ip: line,
    at: Number.isNaN(at) ? null : at,
    emailKey,
    person: emailKey && recipientKey(emailKey),
    domain: emailKey.slice(cut + 1),
    network,
  }
}

export function readArrival(arriving: Arriving): ReadArrival {
  const reading = readWords(arriving)
  return {
    ...arriving,
    ...readSender(arriving),
    reading,
    triples: tripleHashes(reading),
    wordSet: wordHashes(reading),
  }
}

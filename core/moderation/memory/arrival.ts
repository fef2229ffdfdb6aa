import { limitKeyOf, networkOf } from '../../formats/ipAddress'
import { mailboxKey, recipientKey } from '../../proof/mailbox'
import { readWords, tripleHashes, type Reading } from '../reading'

/** A review as it arrives, as far as weighing reads it. Empty or null where nobody knows. */
export interface Arriving {
  id: string
  title: string
  body: string
  /** Hundredths of five. */
  rating: number | null
  authorName: string
  authorEmail: string
  /** Network address, of either kind. */
  ip: string
  /** UTC ISO-8601. */
  receivedAt: string | null
  product: string
  fillSeconds: number | null
}

/** An arrival taken apart once, for the signals and for what is remembered of it. */
export interface ReadArrival extends Arriving {
  reading: Reading
  triples: Int32Array
  /** Epoch milliseconds. */
  at: number | null
  mailbox: string
  /** The email address without dots and what follows a plus: where aliases of one person meet. */
  person: string
  domain: string
  /** As `networkOf` gives it. */
  network: string
}

/** Who sent an arrival, and when, as far as others are compared with it. */
export type Sender = Pick<ReadArrival, 'at' | 'mailbox' | 'person' | 'domain' | 'network' | 'ip'>

export function readSender(arriving: Pick<Arriving, 'authorEmail' | 'ip' | 'receivedAt'>): Sender {
  const mailbox = arriving.authorEmail === '' ? '' : mailboxKey(arriving.authorEmail)
  const cut = mailbox.lastIndexOf('@')
  const at = arriving.receivedAt === null ? NaN : Date.parse(arriving.receivedAt)
  return {
    ip: limitKeyOf(arriving.ip),
    at: Number.isNaN(at) ? null : at,
    mailbox,
    person: mailbox && recipientKey(mailbox),
    domain: mailbox.slice(cut + 1),
    network: networkOf(arriving.ip),
  }
}

export function readArrival(arriving: Arriving): ReadArrival {
  const reading = readWords(arriving)
  return { ...arriving, ...readSender(arriving), reading, triples: tripleHashes(reading) }
}

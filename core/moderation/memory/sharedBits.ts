import type { Remembered } from './arrivalLine'
import { traitBit } from './traits'

const [NETWORK, ADDRESS, DOMAIN, WORDS] = [
  traitBit('network'),
  traitBit('address'),
  traitBit('newDomain'),
  traitBit('words'),
]

/** The traits that two arrivals have in common, as bits. A domain counts wherever it is the same. */
export function sharedBits(one: Remembered, other: Remembered): number {
  let bits = one.bits & other.bits
  if (one.network !== 0 && one.network === other.network) bits |= NETWORK
  if (one.address !== 0 && one.address === other.address) bits |= ADDRESS
  if (one.domain !== 0 && one.domain === other.domain) bits |= DOMAIN
  if (other.akinTo === one) bits |= WORDS
  return bits
}

import type { Fingerprint } from './fingerprint'

const DAY_MS = 86_400_000
const MAX_PER_SENDER = 24

interface Sent {
  id: string
  at: number | null
  emailKey: string
  /** The email address as it was typed, in lower case. */
  typed: string
  name: string
  product: string
}

export interface SenderHistory {
  /** Earlier reviews from this address about the same product. */
  sameProduct: number
  /** Earlier reviews from this address within a day. */
  today: number
  /** Another spelling of this address with another name; empty if there is none. */
  aliasOf: string
  /** Other email addresses on the same network address within a day. */
  sameAddress: number
}

export class SenderBook {
  private byPerson = new Map<string, Sent[]>()
  private byAddress = new Map<string, Sent[]>()

  findSender(arrival: Fingerprint): SenderHistory {
    const sent = arrival.person === '' ? [] : (this.byPerson.get(arrival.person) ?? [])
    const own = sent.filter(({ emailKey }) => emailKey === arrival.emailKey)
    const near = (other: Sent) =>
      arrival.at === null || other.at === null || Math.abs(arrival.at - other.at) < DAY_MS
    const alias = sent.find(
      ({ typed, name }) => typed !== arrival.typed && name !== arrival.name && name !== '',
    )
    const beside = (arrival.ip === '' ? [] : (this.byAddress.get(arrival.ip) ?? [])).filter(near)
    return {
      sameProduct: own.filter(({ product }) => product !== '' && product === arrival.product).length,
      today: own.filter((other) => other.at !== null && arrival.at !== null && near(other)).length,
      aliasOf: alias?.typed ?? '',
      sameAddress: new Set(
        beside.map(({ emailKey, name }) => emailKey || name).filter((who) => who && who !== arrival.emailKey),
      ).size,
    }
  }

  remember(arrival: Fingerprint): void {
    const { id, at, emailKey, product, typed, name } = arrival
    const sent = { id, at, emailKey, typed, name, product }
    if (arrival.person !== '') keepUnder(this.byPerson, arrival.person, sent)
    if (arrival.ip !== '') keepUnder(this.byAddress, arrival.ip, sent)
  }

  forget({ id, person, ip }: Pick<Fingerprint, 'id' | 'person' | 'ip'>): void {
    forgetUnder(this.byPerson, person, id)
    forgetUnder(this.byAddress, ip, id)
  }
}

function forgetUnder(map: Map<string, Sent[]>, key: string, id: string): void {
  const kept = map.get(key)?.filter((sent) => sent.id !== id)
  if (kept?.length) map.set(key, kept)
  else map.delete(key)
}

function keepUnder(map: Map<string, Sent[]>, key: string, sent: Sent): void {
  const kept = map.get(key)
  if (!kept) map.set(key, [sent])
  else if (kept.push(sent) > MAX_PER_SENDER) kept.shift()
}

import { messageCode } from '../../messages/code'
import type { ReadArrival } from '../memory/arrival'
import type { SenderHistory } from '../memory/senders'
import type { Reading } from '../reading'
import type { Signal } from '../signal'
import { isThrowAway } from '../throwAway'
import { findLinks, mayLink } from './link'

const MOST = 62

/**
 * Points of each property of a sender. None holds a review back alone: families share a computer, clubs an
 * email address.
 */
const points = {
  throwAway: 30,
  alias: 34,
  sameAddress: 20,
  manyAddresses: 34,
  sameProduct: 18,
  today: 22,
  ownLink: 20,
  randomMailbox: 14,
  soldName: 22,
} as const
type Sign = keyof typeof points

/** The sender, and other reviews from there. */
export function senderSignal(arrival: ReadArrival, history: SenderHistory): Signal | null {
  const signs = signNames.filter((sign) => shows[sign](arrival, history))
  if (signs.length === 0) return null
  const sum = signs.reduce((total, sign) => total + points[sign], 0)
  return {
    kind: 'sender',
    points: Math.min(MOST, sum),
    headline: messageCode('signal.sender'),
    detail: signs.map((sign) => messageCode(`sender.${sign}`, { count: counted(sign, history) })).join('\n'),
    places: [],
  }
}

const shows: Record<Sign, (arrival: ReadArrival, history: SenderHistory) => boolean> = {
  throwAway: ({ domain }) => isThrowAway(domain),
  alias: (_, { aliasOf }) => aliasOf !== '',
  sameAddress: (_, { sameAddress }) => sameAddress >= 2 && sameAddress < 5,
  manyAddresses: (_, { sameAddress }) => sameAddress >= 5,
  // A second review after months of use is usual for careful customers.
  sameProduct: (_, { sameProduct }) => sameProduct >= 2,
  today: (_, { today }) => today >= 3,
  ownLink: ({ domain, reading }) => domain !== '' && linksTo(reading, domain),
  randomMailbox: ({ emailKey }) => isRandom(emailKey.slice(0, Math.max(0, emailKey.lastIndexOf('@')))),
  soldName: ({ authorName }) => isSold(authorName),
}
const signNames = Object.keys(shows) as Sign[]

function linksTo(reading: Reading, domain: string): boolean {
  if (!mayLink(reading)) return false
  const [name] = domain.split('.')
  if (!reading.words.some(({ plain }) => name!.includes(plain) && plain.length > 2)) return false
  return [reading.title, reading.body]
    .flatMap(findLinks)
    .some(({ host }) => host === domain || host.endsWith(`.${domain}`))
}

function counted(sign: Sign, { sameAddress, sameProduct, today }: SenderHistory): number {
  if (sign === 'sameProduct') return sameProduct
  return sign === 'today' ? today : sameAddress
}

/** Digits between letters ("x7k2qf93"), unlike a year or house number after a name. */
function isRandom(person: string): boolean {
  const bare = person.replace(/[._-]/gu, '')
  if (bare.length < 7) return false
  const changes = bare.match(/\d(?=[a-z])|[a-z](?=\d)/gu)?.length ?? 0
  return (
    changes >= 3 ||
    (/^[a-z]+$/u.test(bare) && !/[aeiouy]/u.test(bare)) ||
    person.split(/[._-]/u).some((part) => /^[bcdfghjklmnpqrstvwxz]{6,}/u.test(part))
  )
}

const trades =
  /\b(?:seo|casino|crypto|bitcoin|loans?|kredit|marketing|agency|agentur|followers?|deals|discounts?|rabatt|promo|official|best price|cheap|outlet|trader|broker|investments?|forex|betting|escort|hacker|growth|backlinks?|webdesign)\b/iu

/** A name that advertises, or that is an address. */
function isSold(name: string): boolean {
  return trades.test(name) || /https?:|www\.|\.(?:com|net|org|example|shop|store|online|xyz)\b|@/iu.test(name)
}

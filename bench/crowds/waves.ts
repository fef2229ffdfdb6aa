import type { Chance } from './chance'
import { addressIn, customer, DAY, emailOf, HOUR, momentIn, type Arrival, type Habits } from './shop'
import { boughtPraise, customersText, grudge } from './texts'

/** A crowd that comes in addition to the ordinary customers. */
export interface Wave {
  name: string
  /** Whether nothing was tuned with it. */
  untouched: boolean
  make: (chance: Chance, habits: Habits, from: number, size: number) => Arrival[]
}

type Change = (one: Arrival, chance: Chance, i: number) => Partial<Arrival>

/** Most come soon after the beginning, fewer and fewer later. */
function decaying(over: number, change: Change, ratings?: number[]): Wave['make'] {
  return (chance, habits, from, size) =>
    Array.from({ length: size }, (_, i) => {
      const at = from + Math.min(4 * over, -Math.log(1 - chance.next()) * over)
      const one = customer(chance, ratings ? { ...habits, ratings } : habits, at)
      return { ...one, ...change(one, chance, i) }
    })
}

const angry = [0.55, 0.25, 0.12, 0.05, 0.03]
const pleased = [0.01, 0.01, 0.03, 0.15, 0.8]

/** Innocent crowds. `size` is their number. */
export const crowds: Wave[] = [
  { name: 'newsletter', untouched: false, make: decaying(5 * HOUR, () => ({})) },
  { name: 'sale', untouched: false, make: decaying(30 * HOUR, () => ({ product: 'P0' })) },
  { name: 'bad batch', untouched: false, make: decaying(24 * HOUR, (_, chance) => ({ product: 'P1', verified: chance.isTrue(0.7) }), angry) }, // oxfmt-ignore
  {
    name: 'guests on one network',
    untouched: false,
    make: decaying(HOUR, () => ({ ip: '198.18.7.7', product: '' }), pleased),
  },
  { name: 'press day', untouched: true, make: decaying(9 * HOUR, () => ({ product: '', verified: false })) },
  {
    name: 'late parcels',
    untouched: true,
    make: decaying(40 * HOUR, (_, chance) => ({ product: '', body: `${chance.pick(['Parcel came late', 'Still waiting', 'Two weeks late', 'Where is my order'])} ${customersText(chance)}` }), angry), // oxfmt-ignore
  },
  {
    name: 'a market day with a tablet',
    untouched: true,
    make: decaying(3 * HOUR, (_, chance) => ({ ip: '198.18.9.9', fillSeconds: 20 + chance.below(40), body: chance.pick(['Great stall', 'lovely cheese', 'Nice people', customersText(chance)]) }), pleased), // oxfmt-ignore
  },
  {
    name: 'staff of one company with a gift',
    untouched: true,
    make: decaying(8 * HOUR, (one) => ({ ip: '198.18.3.1', authorEmail: `${one.authorName.toLowerCase().replace(' ', '.')}@brickworks.example`, product: 'P2' }), pleased), // oxfmt-ignore
  },
]

interface Attacker {
  rating: number
  body: (chance: Chance) => string
  /** Networks in use; 0: each its own. */
  networks: number
  email: { digits: number; strange: number; domain?: string }
  seconds: [number, number]
}

function attackers(
  who: Attacker,
  moments: (chance: Chance, from: number, size: number) => number[],
): Wave['make'] {
  return (chance, habits, from, size) => {
    const own = Array.from({ length: who.networks }, () => chance.below(habits.networks))
    return moments(chance, from, size).map((at) => {
      const one = customer(chance, habits, at)
      const email = emailOf(chance, one.authorName, who.email)
      const network = own.length > 0 ? chance.pick(own) : chance.below(habits.networks)
      return {
        ...one,
        attack: true,
        rating: who.rating,
        body: who.body(chance),
        // A few machines on each network.
        ip: own.length > 0 ? addressIn(chance, network).replace(/\d+$/, String(11 + chance.below(3))) : addressIn(chance, network), // oxfmt-ignore
        authorEmail: who.email.domain ? email.replace(/@.*/, `@${who.email.domain}`) : email,
        fillSeconds: who.seconds[0] + chance.below(who.seconds[1] - who.seconds[0]),
        product: '',
        verified: false,
      }
    })
  }
}

const within = (span: number) => (chance: Chance, from: number, size: number) =>
  Array.from({ length: size }, () => from + chance.next() * span)
/** So many a day, at any hour, for ten days. */
const daily = (chance: Chance, from: number, perDay: number) =>
  Array.from({ length: 10 * perDay }, (_, i) => momentIn(chance, from - (from % DAY) + DAY + Math.floor(i / perDay) * DAY)) // oxfmt-ignore

const nicknamed = { digits: 0.6, strange: 0.7 }
const low = { rating: 100, body: (chance: Chance) => chance.pick(grudge), email: nicknamed }
const high = { rating: 500, body: boughtPraise, email: nicknamed }
const farm: [number, number] = [6, 40]
const people: [number, number] = [15, 160]

/** Attacks within hours. `size` is their number. */
export const fastAttacks: Wave[] = [
  { name: 'one star from two networks', untouched: false, make: attackers({ ...low, networks: 2, seconds: people }, within(3 * HOUR)) }, // oxfmt-ignore
  { name: 'bought praise, many networks', untouched: false, make: attackers({ ...high, networks: 0, seconds: farm }, within(5 * HOUR)) }, // oxfmt-ignore
  { name: 'disposable addresses', untouched: false, make: attackers({ rating: 500, body: customersText, networks: 0, email: { digits: 0.5, strange: 1, domain: 'trashmail.example' }, seconds: people }, within(4 * HOUR)) }, // oxfmt-ignore
  { name: 'one star, rotating networks', untouched: false, make: attackers({ ...low, networks: 0, seconds: people }, within(4 * HOUR)) }, // oxfmt-ignore
  { name: 'one star in long texts, four networks', untouched: true, make: attackers({ ...low, body: customersText, networks: 4, seconds: people }, within(6 * HOUR)) }, // oxfmt-ignore
  { name: 'praise from one network in a hurry', untouched: true, make: attackers({ ...high, body: customersText, networks: 1, seconds: [3, 12] }, within(2 * HOUR)) }, // oxfmt-ignore
  { name: 'copied praise, honest-looking addresses', untouched: true, make: attackers({ ...high, email: { digits: 0.2, strange: 0.2 }, networks: 0, seconds: people }, within(8 * HOUR)) }, // oxfmt-ignore
]

/** Attacks over ten days. `size` is their number a day. */
export const slowAttacks: Wave[] = [
  { name: 'one star a few times a day', untouched: false, make: attackers({ ...low, networks: 0, seconds: people }, daily) }, // oxfmt-ignore
  { name: 'bought praise each day', untouched: false, make: attackers({ ...high, networks: 0, seconds: farm }, daily) }, // oxfmt-ignore
  { name: 'one star each day from three networks', untouched: true, make: attackers({ ...low, body: customersText, networks: 3, seconds: people }, daily) }, // oxfmt-ignore
  { name: 'praise from disposable addresses each day', untouched: true, make: attackers({ rating: 500, body: customersText, networks: 0, email: { digits: 0.5, strange: 1, domain: 'burnerbox.example' }, seconds: people }, daily) }, // oxfmt-ignore
]

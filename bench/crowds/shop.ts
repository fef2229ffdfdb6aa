import type { Arriving } from '../../core/moderation/memory/arrival'
import type { Chance } from './chance'
import { customersText } from './texts'

/* A made-up shop with its habits, and its ordinary customers. */

export const HOUR = 3_600_000
export const DAY = 24 * HOUR

export interface Habits {
  perDay: number
  /** Shares of 1 to 5 stars. */
  ratings: number[]
  products: number
  /** Share of reviews that name a product. */
  named: number
  verified: number
  /** Share of email addresses with digits. */
  digits: number
  /** Share of email addresses that contain nothing of the name. */
  strange: number
  /** Few networks, as behind a carrier or in made-up data, or many. */
  networks: 3 | 40 | 5000
  /** Only rating, text, email address and network are known. */
  sparse: boolean
}

export interface Arrival extends Arriving {
  at: number
  /** The attack that it belongs to. */
  attack: boolean
  /** Of the wave that it belongs to. */
  wave: string
}

export function habitsOf(chance: Chance, perDay: number): Habits {
  return {
    perDay,
    ratings: chance.pick([
      [0.04, 0.03, 0.08, 0.25, 0.6],
      [0.08, 0.05, 0.1, 0.22, 0.55],
      [0.12, 0.08, 0.15, 0.25, 0.4],
      [0.02, 0.02, 0.04, 0.12, 0.8],
    ]),
    products: chance.pick([1, 8, 40]),
    named: chance.pick([0, 0.6, 0.95]),
    verified: chance.pick([0, 0.4, 0.85]),
    digits: chance.pick([0.1, 0.25, 0.4]),
    strange: chance.pick([0.1, 0.3]),
    networks: chance.pick([3, 40, 5000]),
    sparse: chance.isTrue(0.4),
  }
}

const given = 'Anna Bert Cora Dirk Elsa Finn Gina Hugo Iris Jan Kira Lars Mona Nils Olga Paul Rosa Sven Tess Uwe Vera Will Xenia Yara Zeno Ada Bo Cleo Dora Egon'.split(' ') // oxfmt-ignore
const family = 'Alm Berg Cole Dahl East Frost Grant Hill Ives Jahn Kern Lund Moor Nash Orme Pike Reed Shaw Tate Voss Wilde Abel Brook Crane Drum Elk Fenn Gale Heath Isle'.split(' ') // oxfmt-ignore
const domains = ['post.example', 'mail.example', 'inbox.example', 'letters.example', 'webmail.example', 'freemail.example'] // oxfmt-ignore
const nicknames = 'honey potty bluelamp river oakleaf sunny moss kaz luna tinker hedge fern acorn pixel'.split(' ') // oxfmt-ignore

export const emailOf = (
  chance: Chance,
  name: string,
  { digits, strange }: Pick<Habits, 'digits' | 'strange'>,
) => {
  const [first, last] = name.toLowerCase().split(' ')
  const local = chance.isTrue(strange)
    ? `${chance.pick(nicknames)}.${chance.pick(nicknames)}`
    : chance.pick([`${first}.${last}`, `${first![0]}.${last}`, `${first}${last![0]}`, `${last}.${first}`])
  return `${local}${chance.isTrue(digits) ? chance.below(99) + 1 : ''}@${chance.pick(domains)}`
}

export const addressIn = (chance: Chance, network: number) =>
  `${20 + (network % 180)}.${Math.floor(network / 180) % 250}.7.${1 + chance.below(250)}`

let ids = 0

export function customer(chance: Chance, habits: Habits, at: number): Arrival {
  const name = `${chance.pick(given)} ${chance.pick(family)}`
  const draw = chance.next()
  let [stars, sum] = [0, habits.ratings[0]!]
  while (stars < 4 && sum < draw) sum += habits.ratings[++stars]!
  // Half come over few large networks.
  const network = chance.isTrue(0.5)
    ? chance.below(Math.min(8, habits.networks))
    : chance.below(habits.networks)
  const arrival: Arrival = {
    at,
    attack: false,
    wave: '',
    id: String(++ids),
    title: '',
    body: customersText(chance),
    rating: 100 * (stars + 1),
    authorName: name,
    authorEmail: emailOf(chance, name, habits),
    ip: addressIn(chance, network),
    receivedAt: null,
    product: chance.isTrue(habits.named) ? `P${chance.below(habits.products)}` : '',
    fillSeconds: 25 + Math.floor(120 * chance.gamma(2)),
    verified: chance.isTrue(habits.verified),
  }
  return arrival
}

/** By hour of the day: few at night, most in the evening. */
const hours = [1, 0.5, 0.3, 0.2, 0.2, 0.5, 1.5, 3, 4, 5, 5, 5, 6, 5, 5, 5, 6, 7, 8, 9, 9, 8, 5, 2.5]
const wholeDay = hours.reduce((sum, one) => sum + one, 0)

export function momentIn(chance: Chance, day: number): number {
  let draw = chance.next() * wholeDay
  let hour = 0
  while (hour < 23 && draw > hours[hour]!) draw -= hours[hour++]!
  return day + hour * HOUR + chance.next() * HOUR
}

/** The ordinary arrivals of some days, busier at the weekend and uneven. */
export function ordinaryDays(chance: Chance, habits: Habits, from: number, days: number): Arrival[] {
  const arrivals: Arrival[] = []
  for (let i = 0; i < days; i++) {
    const mean = habits.perDay * (i % 7 > 4 ? 1.6 : 0.76) * chance.gamma(4)
    for (let left = chance.poisson(mean); left > 0; left--)
      arrivals.push(customer(chance, habits, momentIn(chance, from + i * DAY)))
  }
  return arrivals
}

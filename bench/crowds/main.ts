import { ShopHistory } from '../../core/moderation/memory/shopHistory'
import { interval } from '../share'
import { chanceFrom, type Chance } from './chance'
import { DAY, habitsOf, HOUR, ordinaryDays, type Arrival, type Habits } from './shop'
import { crowds, fastAttacks, slowAttacks, type Wave } from './waves'

/**
 * How attacks are found among months of made-up shops, and how often innocent months are taken for one:
 * `npm run bench:crowds [MONTHS] [innocent|fast|inside|slow]`. With `--tune` the seeds are those that the limits were
 * set with.
 */
const [months = '100', only] = process.argv.slice(2).filter((argument) => !argument.startsWith('--'))
const MONTHS = Number(months)
let seed = process.argv.includes('--tune') ? 1000 : 500_000
const start = Date.UTC(2026, 0, 5)
/** Of ordinary life before the month; more at a shop with few reviews. */
const MIN_DAYS_BEFORE = 60

interface Month {
  arrivals: Arrival[]
  found: boolean[]
}
type Waves = (chance: Chance, habits: Habits) => Arrival[]

/** @param sparse whether only rating, text, email address and network are known; by chance if null */
function month(perDay: number, sparse: boolean | null, waves: Waves): Month {
  const chance = chanceFrom(seed++)
  const drawn = habitsOf(chance, perDay)
  const habits = { ...drawn, sparse: sparse ?? drawn.sparse }
  const before = Math.max(MIN_DAYS_BEFORE, Math.min(400, 20 / perDay))
  const arrivals = [
    ...ordinaryDays(chance, habits, start - before * DAY, before + 30),
    ...waves(chance, habits),
  ]
  arrivals.sort((a, b) => a.at - b.at)
  const history = new ShopHistory()
  const found = arrivals.map((one) => history.compareAndRemember(known(one, habits)).history.burst !== null)
  const isInMonth = arrivals.map(({ at }) => at >= start)
  return { arrivals: arrivals.filter((_, i) => isInMonth[i]), found: found.filter((_, i) => isInMonth[i]) }
}

function known(one: Arrival, { sparse }: Habits): Arrival {
  const dated = { ...one, receivedAt: new Date(one.at).toISOString() }
  return sparse ? { ...dated, authorName: '', product: '', fillSeconds: null, verified: null } : dated
}

const many = (count: number, make: () => Month) => Array.from({ length: Math.ceil(count) }, make)
const startOfWave = (chance: Chance) => start + 8 * DAY + chance.next() * 10 * DAY
const waveOf =
  ({ make }: Wave, size: number): Waves =>
  (chance, habits) =>
    make(chance, habits, startOfWave(chance), size)
/** A newsletter's crowd of 60, and an attack of 15 that begins an hour later. */
const inside =
  ({ make }: Wave): Waves =>
  (chance, habits) => {
    const from = startOfWave(chance)
    return [...crowds[0]!.make(chance, habits, from, 60), ...make(chance, habits, from + HOUR, 15)]
  }

const parts: Record<string, () => void> = {
  innocent: () => {
    console.log('innocent months that were taken for an attack')
    for (const perDay of [0.2, 1, 5, 20, 70, 200])
      line(`${perDay} a day, nothing else`, falsely(many(MONTHS, () => month(perDay, null, () => []))))
    for (const crowd of crowds) {
      const all = [1, 5, 20].flatMap((perDay) =>
        many(MONTHS / 3, () => month(perDay, null, waveOf(crowd, Math.round(20 + 30 * Math.sqrt(perDay))))),
      )
      line(named(crowd), falsely(all))
    }
  },
  fast: () => {
    console.log('\nfast attacks: found within their first ten; held after the tenth; honest ones held')
    for (const attack of fastAttacks)
      curves(attack, 'in all', [12, 20, 40], (size) => waveOf(attack, size), () => 10) // oxfmt-ignore
  },
  inside: () => {
    console.log('\nan attack of 15 inside a newsletter’s crowd of 60')
    for (const attack of fastAttacks) curves(attack, 'in all', [15], () => inside(attack), () => 10) // oxfmt-ignore
  },
  slow: () => {
    console.log('\nslow attacks: found by the end of their third day; held after it; honest ones held')
    for (const attack of slowAttacks)
      curves(attack, 'a day', [2, 4, 8], (size) => waveOf(attack, size), (size) => 3 * size) // oxfmt-ignore
  },
}
for (const [name, report] of Object.entries(parts)) if (!only || only === name) report()

/** @param first how many of the attack may come before it is found */
function curves(
  attack: Wave,
  unit: string,
  sizes: number[],
  waves: (size: number) => Waves,
  first: (size: number) => number,
) {
  // oxfmt-ignore
  console.log(`  ${named(attack)}`)
  for (const sparse of [false, true])
    for (const perDay of [0.5, 5, 50])
      for (const size of sizes)
        line(
          `  ${size} ${unit}, at a shop of ${perDay} a day${sparse ? ', little known' : ''}`,
          found(
            many(MONTHS / 10, () => month(perDay, sparse, waves(size))),
            first(size),
          ),
        )
}

function line(what: string, result: string): void {
  console.log(`  ${what.padEnd(56)} ${result}`)
}

function named({ name, untouched }: Wave): string {
  return untouched ? `${name} (untouched)` : name
}

function falsely(all: Month[]): string {
  return interval(all.filter(({ found }) => found.includes(true)).length, all.length)
}

function found(all: Month[], first: number): string {
  let [early, held, late, honestHeld, honest] = [0, 0, 0, 0, 0]
  for (const { arrivals, found: flags } of all) {
    const own = flags.filter((_, i) => arrivals[i]!.attack)
    if (own.slice(0, first).includes(true)) early++
    late += own.slice(first).length
    held += own.slice(first).filter(Boolean).length
    honest += flags.length - own.length
    honestHeld += flags.filter((flag, i) => flag && !arrivals[i]!.attack).length
  }
  const share = (some: number, of: number) => `${((100 * some) / Math.max(1, of)).toFixed(some > 0 && some / of < 0.02 ? 1 : 0)} %` // oxfmt-ignore
  return `found ${share(early, all.length).padStart(6)}, held ${share(held, late).padStart(6)}, honest ${share(honestHeld, honest)}`
}

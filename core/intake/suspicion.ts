/** How much came through a form lately. */
export interface Lately {
  /** From the same network address, within an hour. */
  fromAddress: number
  /** From everybody, within ten minutes. */
  toForm: number
}

export const MOST_SUSPICION = 4

/**
 * How suspicious one more is, 0 to 4. A household or an office sends a few, a program many; a form that many write to
 * at once may be under attack, or on television.
 */
export function suspicionOf({ fromAddress, toForm }: Lately): number {
  const steps = [2, 5, 10, 20].filter((most) => fromAddress > most).length
  const crowd = [20, 60].filter((most) => toForm > most).length
  return Math.min(MOST_SUSPICION, steps + crowd)
}

/** What a browser has to compute: rounds of PBKDF2 for each try, and hex digits that a try's key has to begin with. */
export interface Work {
  rounds: number
  digits: number
}

/** Each level is about four times the one before: from a hundredth of a second to ten. */
const work: Work[] = [
  { rounds: 500, digits: 1 },
  { rounds: 1000, digits: 2 },
  { rounds: 4000, digits: 2 },
  { rounds: 1000, digits: 3 },
  { rounds: 4000, digits: 3 },
]

/** @param level as `suspicionOf` gives it */
export const workFor = (level: number): Work => work[Math.min(level, MOST_SUSPICION)]!

/** The field in which a form's page sends what it computed, and what stands there where no script did. */
export const WORK_FIELD = 'work'
export const NO_WORK = 'none'

/** At this level even those who do not come by the page have to do the work. */
const ALL_FROM = MOST_SUSPICION

/**
 * Whether a review is held back because nobody computed what was asked.
 * @param sent whether the form's page sent the field at all; a program that speaks JSON need not while all is calm
 * @param done the level of the work that was done; null for none
 */
export function lacksWork(level: number, sent: boolean, done: number | null): boolean {
  if (done !== null) return done < level - 1
  return sent || level >= ALL_FROM
}

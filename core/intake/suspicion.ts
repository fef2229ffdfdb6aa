/** Recent submissions through a form. */
interface Lately {
  /** From the same network address, within an hour. */
  fromAddress: number
  /** From everyone, within ten minutes. */
  toForm: number
}

export const MOST_SUSPICION = 4

/**
 * The suspicion against a further submission, 0 to 4. A household or an office sends a few, a program many. A
 * form with many senders is under attack, or on television.
 */
export function suspicionOf({ fromAddress, toForm }: Lately): number {
  const steps = [2, 5, 10, 20].filter((most) => fromAddress > most).length
  const crowd = [20, 60].filter((most) => toForm > most).length
  return Math.min(MOST_SUSPICION, steps + crowd)
}

/** The computation: rounds of PBKDF2 for each try, and the hex digits with which the key has to begin. */
export interface Work {
  rounds: number
  digits: number
}

/** Each level takes about four times as long as the one before, from 0.01 to 10 seconds. */
const work: Work[] = [
  { rounds: 500, digits: 1 },
  { rounds: 1000, digits: 2 },
  { rounds: 4000, digits: 2 },
  { rounds: 1000, digits: 3 },
  { rounds: 4000, digits: 3 },
]

/** @param level from `suspicionOf` */
export const workFor = (level: number): Work => work[Math.min(level, MOST_SUSPICION)]!

/** The field for the result, and its value where no script ran. */
export const WORK_FIELD = 'work'
export const NO_WORK = 'none'

/** From this level on, programs that don't use the page need the computation too. */
const ALL_FROM = MOST_SUSPICION

/**
 * Whether a review is held back because the computation is missing.
 * @param sent whether the form contained the field; programs that send JSON need it only from a level on
 * @param done the level of the finished work; null if there is none
 */
export function lacksWork(level: number, sent: boolean, done: number | null): boolean {
  if (done !== null) return done < level - 1
  return sent || level >= ALL_FROM
}

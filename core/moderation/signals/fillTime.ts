import { messageCode } from '../../messages/code'
import type { Signal } from '../signal'

/** Points for a form filled in faster than a person can; with one other signal it reaches held (60). */
const FILL_TIME_POINTS = 30

/** The fewest seconds in which a person can read, rate and write. */
export const FASTEST_PERSON_SECONDS = 5

/** @param seconds between the form's token and its arrival; null if unknown */
export function fillTimeSignal(seconds: number | null): Signal | null {
  if (seconds === null || seconds >= FASTEST_PERSON_SECONDS) return null
  return {
    kind: 'filltime',
    points: FILL_TIME_POINTS,
    headline: messageCode('signal.filltime', { count: Math.max(1, Math.round(seconds)) }),
    detail: messageCode('signal.filltimeDetail', { fastest: FASTEST_PERSON_SECONDS }),
    places: [],
  }
}

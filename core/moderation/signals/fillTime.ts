import { messageCode } from '../../messages/code'
import type { Signal } from '../signal'

/** Points for a form filled in faster than people can; with one other sign it reaches held (60). */
export const FILL_TIME_POINTS = 30

/** Seconds from seeing the form to sending it below which no person has read, rated, written and signed. */
export const FASTEST_PERSON_SECONDS = 5

/** @param seconds from the form being handed out to its arrival; null when nobody knows. */
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

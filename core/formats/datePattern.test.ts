import { expect, test } from 'vitest'
import { dateInPattern } from './datePattern'

const london = { timeZone: 'Europe/London', locale: 'en-GB' }
const moment = '2026-03-31T23:30:00Z'

test('a day is written in the pattern, in the language and the time zone of the shop', () => {
  expect(dateInPattern(moment, 'd MMM yyyy', london)).toBe('1 Apr 2026')
  expect(dateInPattern(moment, 'dd/MM/yy', { ...london, timeZone: 'America/New_York' })).toBe('31/03/26')
  expect(dateInPattern(moment, 'd. MMMM yyyy', { timeZone: 'Europe/Berlin', locale: 'de-AT' })).toBe(
    '1. April 2026',
  )
  expect(dateInPattern(moment, "MMMM 'of' yyyy", london)).toBe('April of 2026')
})

test.each(['', ' ', 'HH:mm', 'yyyyyyyyyyyyyyyyyyyyyyy<script>', "d 'open", 'P', '💥'])(
  'what is no pattern of a day gives nothing: %s',
  (pattern) => {
    expect(dateInPattern(moment, pattern, london)).toBeNull()
  },
)

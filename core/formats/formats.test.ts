import { startOfDay } from './dates'
import { expect, test } from 'vitest'
import { dayIn, spokenMoment, wholeDays } from './dates'
import { hundredthsOfFive, litMarks, oneDecimal } from './rating'

test('ratings are brought to hundredths of five, never under one', () => {
  expect([
    hundredthsOfFive(4, 5),
    hundredthsOfFive(8, 10),
    hundredthsOfFive(80, 100),
    hundredthsOfFive(0, 10),
  ]).toEqual([400, 400, 400, 100])
  expect(() => hundredthsOfFive(9, 5)).toThrow(RangeError)
  expect(() => hundredthsOfFive(NaN, 5)).toThrow(RangeError)
  expect([litMarks(449), litMarks(450), litMarks(0)]).toEqual([4, 5, 1])
  expect([oneDecimal(1370 / 3, 'en-GB'), oneDecimal(460, 'de')]).toEqual(['4.6', '4,6'])
})

test('a day is a day in the shop’s time zone', () => {
  expect(dayIn('Europe/London', '2026-06-10T23:30:00Z')).toBe('2026-06-11')
  expect(dayIn('America/Lima', '2026-06-10T03:30:00Z')).toBe('2026-06-09')
})

test('moments are said as people say them', () => {
  const say = (moment: string) =>
    spokenMoment(moment, {
      now: '2026-11-25T12:00:00Z',
      timeZone: 'Europe/London',
      locale: 'en-GB',
      today: 'today',
    })
  expect(say('2026-11-25T09:14:00Z')).toBe('today 09:14')
  expect(say('2026-11-22T09:14:00Z')).toBe('Sunday')
  expect(say('2026-05-03T09:14:00Z')).toBe('3 May 2026')
  expect(say('2026-11-18T09:14:00Z')).toBe('18 November 2026')
  expect(wholeDays('2026-11-22T13:00:00Z', '2026-11-25T12:00:00Z')).toBe(2)
})

test('a day begins when the clocks of its place say so, also where they change', () => {
  expect(startOfDay('Europe/London', '2026-03-29')).toBe('2026-03-29T00:00:00.000Z')
  expect(startOfDay('Europe/London', '2026-03-29', 1)).toBe('2026-03-29T23:00:00.000Z')
  expect(startOfDay('America/New_York', '2026-12-31', 1)).toBe('2027-01-01T05:00:00.000Z')
})

import { expect, test } from 'vitest'
import { startingModel } from './starting'
import { pitchOf } from './pitch'
import { readWords } from '../reading'
import { wordingSignal } from '../signals/wording'
import { expectLinear, repeated } from '../../../tests/support/linearTime'

const pitch = (body: string) => pitchOf({ title: '', body })

test('a text is named after the pitch with the most words, in any script', () => {
  expect(pitch('Borrow from an honest lender, no collateral needed')).toBe('loan')
  expect(pitch('Spin the slots tonight, the jackpot is near')).toBe('casino')
  expect(pitch('Zwölf Kilo abnehmen mit diesen Tropfen gegen Bauchfett')).toBe('pills')
  expect(pitch('自动交易数字货币，稳赚不赔')).toBe('crypto')
  expect(pitch('Подпишите петицию и голосуйте')).toBe('campaign')
})

test('one word names nothing, and neither do two pitches alike', () => {
  expect(pitch('The bank would not lend me the van')).toBeNull()
  expect(pitch('Bitcoin trader seeks casino with slots')).toBeNull()
  expect(pitch('')).toBeNull()
})

test('the headline of the wording signal names the pitch', () => {
  const body =
    'Need cash? Our trusted lender approves every loan today, borrow up to 50,000 without collateral.'
  const reading = readWords({ title: '', body })
  expect(wordingSignal(reading, startingModel(), [])?.headline).toContain('pitch.loan')
})

test('reading a long text costs as much as it is long', () => {
  expectLinear(pitch, repeated('loan lend borrow spin '), 25_000)
})

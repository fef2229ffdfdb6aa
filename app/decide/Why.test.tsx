import { renderToStaticMarkup } from 'react-dom/server'
import { expect, test } from 'vitest'
import type { Signal } from '../../core/moderation/signal'
import { Why } from './Why'

const signal = (kind: Signal['kind'], points: number): Signal => ({
  kind,
  points,
  headline: `what ${kind} says`,
  detail: '',
  places: [],
})

test('points stand with their sign, and only what holds without any is said to hold', () => {
  const signals = [signal('filltime', 30), signal('media', 0), signal('wording', -12)]
  const html = renderToStaticMarkup(<Why state="held" score={18} signals={signals} isVerified={false} />)
  expect([...html.matchAll(/<b[^>]*>([^<]+)<\/b>/g)].map(([, words]) => words)).toEqual([
    '30 for',
    'reason it’s held',
    '12 against',
  ])
})

test('a link of a stranger holds by itself, one of a buyer only counts', () => {
  const wordsFor = (isVerified: boolean) =>
    renderToStaticMarkup(
      <Why state="held" score={36} signals={[signal('link', 36)]} isVerified={isVerified} />,
    )
  expect(wordsFor(false)).toContain('36 for, and holds it: not a verified buyer')
  expect(wordsFor(true)).toContain('>36 for<')
})

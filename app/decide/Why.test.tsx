import { renderToStaticMarkup } from 'react-dom/server'
import { createMemoryRouter, RouterProvider } from 'react-router'
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

const page = { shop: 'wrenfield', taughtBy: [] }

test('points stand with their sign, and only what holds without any is said to hold', () => {
  const signals = [signal('filltime', 30), signal('media', 0), signal('wording', -12)]
  const html = renderToStaticMarkup(
    <Why {...page} state="held" score={18} signals={signals} isVerified={false} />,
  )
  expect([...html.matchAll(/<b[^>]*>([^<]+)<\/b>/g)].map(([, words]) => words)).toEqual([
    '+30',
    'reason it’s held',
    '−12',
  ])
})

test('a link of a stranger holds by itself, one of a buyer only counts', () => {
  const wordsFor = (isVerified: boolean) =>
    renderToStaticMarkup(
      <Why {...page} state="held" score={36} signals={[signal('link', 36)]} isVerified={isVerified} />,
    )
  expect(wordsFor(false)).toContain('+36, and holds it: not a verified buyer')
  expect(wordsFor(true)).toContain('>+36<')
})

test('points that the shop taught name the decisions they come from', () => {
  const lesson = {
    publicId: 'r1',
    state: 'spam' as const,
    authorName: 'Sid Spammer',
    title: '',
    body: 'The dowsers of the guild '.repeat(9),
    receivedAt: '2026-03-02T10:00:00Z',
  }
  const router = createMemoryRouter([
    {
      path: '/',
      element: (
        <Why
          {...page}
          state="held"
          score={70}
          signals={[signal('wording', 70)]}
          isVerified={false}
          taughtBy={[lesson]}
        />
      ),
    },
  ])
  const html = renderToStaticMarkup(<RouterProvider router={router} />)
  expect(html).toContain('/s/wrenfield/decide/r1?')
  expect(html).toMatch(/What taught this:.*Sid Spammer.*dowsers of the guild.*…/)
})

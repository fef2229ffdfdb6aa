import { renderToStaticMarkup } from 'react-dom/server'
import { createRoutesStub } from 'react-router'
import { expect, test } from 'vitest'
import type { GroupView } from '../../server/moderation/reviewGroups'
import GroupCard from './GroupCard'

type Member = GroupView['open'][number]
const member = (publicId: string, odd: Member['odd'] = []): Member => ({
  publicId,
  state: 'held',
  revision: 3,
  rating: 500,
  verified: odd.includes('verified'),
  authorName: `Writer ${publicId}`,
  title: '',
  body: 'The same words as everybody.',
  receivedAt: '2026-11-01T10:00:00Z',
  productTitle: null,
  odd,
})
function shown(group: Partial<GroupView>): string {
  const whole: GroupView = { open: [], approved: [], spam: 0, sameWords: true, ...group }
  const Card = createRoutesStub([
    {
      path: '/',
      Component: () => (
        <GroupCard shop="wrenfield" review="a" group={whole} search={{ show: 60 }} after={null} at="" />
      ),
    },
  ])
  return renderToStaticMarkup(<Card />)
}
const ticked = (html: string) =>
  [...html.matchAll(/<input[^>]*aria-label="Select Writer (\w+)"([^>]*)>/g)].map(([, id, rest]) => [
    id,
    rest!.includes('checked'),
  ])

test('those alike are ticked, the odd one stands apart with its reason and is not', () => {
  const html = shown({ open: [member('a'), member('b'), member('c'), member('d', ['verified'])] })
  expect(Object.fromEntries(ticked(html))).toEqual({ a: true, b: true, c: true, d: false })
  expect(html).toContain('Four say the same. Decide together:')
  expect(html.indexOf('a verified buyer')).toBeLessThan(html.indexOf('The other 3'))
  expect(html).toContain('Mark 3 as spam')
})

test('what is approved is listed without a box to tick', () => {
  const html = shown({ open: [member('a'), member('b')], approved: [{ ...member('z'), state: 'approved' }] })
  expect(html).toContain('One like them is already approved. It stays as it is:')
  expect(ticked(html).map(([id]) => id)).toEqual(['a', 'b'])
})

test('one alone only says what became of its like, since its own acts are below', () => {
  const html = shown({ open: [member('a')], spam: 4 })
  expect(html).toContain('Others say the same as this one.')
  expect(html).toContain('Four like it are already spam.')
  expect(html).not.toContain('<button')
})

test('a crowd that shares no words is not said to say the same', () => {
  expect(shown({ open: [member('a'), member('b')], sameWords: false })).toContain('Two arrived together.')
})

import { afterEach, expect, test, vi } from 'vitest'
import { reloadParts } from './reloadParts'

const known = {
  address: '/s/wrenfield/show/front?with=many',
  data: { marks: { title: 'a', list: 'b' }, title: 'Old', list: [1] },
}
const request = (address = known.address) => new Request(`https://reviews.example${address}`)
const whole = vi.fn(async () => ({ marks: {}, title: 'Whole', list: [9] }))
const answering = (answer: Response) => {
  const sent = vi.fn(async (_address: string, _init: RequestInit) => answer)
  vi.stubGlobal('fetch', sent)
  return sent
}
afterEach(() => {
  vi.unstubAllGlobals()
  whole.mockClear()
})

test('what the server leaves out stays as it is, the very same', async () => {
  const sent = answering(Response.json({ changed: { title: 'New' }, marks: { title: 'c', list: 'b' } }))
  const data = await reloadParts(request(), whole, known)
  expect(data).toEqual({ title: 'New', list: [1], marks: { title: 'c', list: 'b' } })
  expect(data.list).toBe(known.data.list)
  expect(sent.mock.calls[0]![0]).toBe('/s/wrenfield/show/front/changed?with=many')
  expect(sent.mock.calls[0]![1].headers).toEqual({ 'X-Marks': '{"title":"a","list":"b"}' })
  expect(whole).not.toHaveBeenCalled()
})

test.each<[string, Response]>([
  ['a page to sign in', new Response('<h1>Sign in</h1>', { headers: { 'Content-Type': 'text/html' } })],
  ['an error', Response.json({}, { status: 404 })],
])('the whole is loaded where the answer is %s', async (_, answer) => {
  answering(answer)
  expect(await reloadParts(request(), whole, known)).toMatchObject({ title: 'Whole' })
})

test('the whole is loaded at another address, and where nothing is known', async () => {
  const sent = answering(Response.json({}))
  await reloadParts(request('/s/wrenfield/show/front'), whole, known)
  await reloadParts(request(), whole, null)
  expect(whole).toHaveBeenCalledTimes(2)
  expect(sent).not.toHaveBeenCalled()
})

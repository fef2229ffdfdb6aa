import { afterAll, beforeAll, expect, test } from 'vitest'
import { rawRequest, sendRaw, startListener, type Listening } from '../../tests/support/listener'
import { addMember } from '../../tests/support/shop'

let app: Listening
beforeAll(async () => {
  app = await startListener({ TRUST_PROXY: '1' })
  for (const name of ['Ned', 'Olga']) await addMember(app.services, name)
})
afterAll(() => app.stop())

function signIn(
  password: string,
  from: string,
  { who = 'mara', to = '', cookie = '' } = {},
): Promise<Response> {
  return fetch(`${app.url}/sign-in${to && `?to=${to}`}`, {
    method: 'POST',
    redirect: 'manual',
    headers: { 'X-Forwarded-For': from, Cookie: cookie },
    body: new URLSearchParams({ email: `${who}@elogio.example`, password }),
  })
}

const cookies = (answer: Response) => answer.headers.getSetCookie().map((line) => line.split(';')[0]!)

test('of 200 guesses at once, each from an address of its own, no more than ten are judged', async () => {
  const answers = await Promise.all(
    Array.from({ length: 200 }, (_, i) => signIn(`guess ${i}`, `203.0.113.${i}`, { who: 'ned' })),
  )
  const count = (status: number) => answers.filter((answer) => answer.status === status).length
  expect([count(401), count(429)]).toEqual([10, 190])
})

test('an owner on a device that signed in before is not locked out by strangers; on another device she waits', async () => {
  const who = 'olga'
  const device = cookies(await signIn('Olga-secret', '203.0.113.1', { who })).find((one) =>
    /^elogio_device=/.test(one),
  )!
  for (let i = 0; i < 12; i++) await signIn('wrong', `198.51.100.${i}`, { who })
  expect((await signIn('Olga-secret', '203.0.113.2', { who })).status).toBe(429)
  expect((await signIn('Olga-secret', '203.0.113.2', { who, cookie: device })).status).toBe(302)
  const madeUp = device.replace(/.$/, (last) => (last === 'A' ? 'B' : 'A'))
  expect((await signIn('Olga-secret', '203.0.113.2', { who, cookie: madeUp })).status).toBe(429)
  for (let i = 0; i < 10; i++) await signIn('wrong', '203.0.113.2', { who, cookie: device })
  expect((await signIn('Olga-secret', '203.0.113.2', { who, cookie: device })).status).toBe(429)
})

test.each([
  ['%2Fs%2Fwrenfield%2Fdecide%3Flane%3Dheld', '/s/wrenfield/decide?lane=held'],
  ['/%09/evil.example', '/'],
  ['/%0a/evil.example', '/'],
  ['/%0d/evil.example', '/'],
  ['/%5cevil.example', '/'],
  ['//evil.example', '/'],
  ['https://evil.example', '/'],
  ['evil.example', '/'],
  ['javascript:alert(1)', '/'],
  ['/s/a%0d%0aSet-Cookie:%20x=1', '/s/aSet-Cookie:%20x=1'],
  ['/%00', '/'],
  ['%ff%fe', '/'],
])('after signing in with ?to=%s she is at %s', async (to, where) => {
  const answer = await signIn('Mara-secret', '203.0.113.1', { to })
  expect([answer.status, answer.headers.get('Location')]).toEqual([302, where])
})

test('a session ends its open streams with it, on this device and, with a new password, on all', async () => {
  const stream = async (cookie: string) => {
    const answer = await sendRaw(
      app.port,
      rawRequest('GET /s/wrenfield/changes HTTP/1.1', { Cookie: cookie, Connection: 'keep-alive' }),
      { withinMs: 1500 },
    )
    return { opened: answer.text.includes('retry: 2000'), ended: answer.text.endsWith('0\r\n\r\n') }
  }
  const post = (path: string, cookie: string, fields: Record<string, string> = {}) =>
    fetch(app.url + path, {
      method: 'POST',
      redirect: 'manual',
      headers: { Cookie: cookie },
      body: new URLSearchParams(fields),
    })
  const [first, second] = [
    cookies(await signIn('Mara-secret', '203.0.113.1')).join('; '),
    cookies(await signIn('Mara-secret', '203.0.113.1')).join('; '),
  ]
  const streams = Promise.all([stream(first), stream(second)])
  await new Promise((resolve) => setTimeout(resolve, 400))
  await post('/sign-out', first)
  expect(await streams).toEqual([
    { opened: true, ended: true },
    { opened: true, ended: false },
  ])
  const again = stream(second)
  await new Promise((resolve) => setTimeout(resolve, 400))
  const changed = await post('/s/wrenfield/settings/account.data', second, {
    present: 'Mara-secret',
    password: 'a longer secret than before',
  })
  expect(changed.status).toBe(200)
  expect(await again).toEqual({ opened: true, ended: true })
})

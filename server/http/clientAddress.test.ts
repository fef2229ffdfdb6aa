import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { startListener, type Listening } from '../../tests/support/listener'
import { formToken } from '../../tests/support/submissions'
import { clientOf } from './clientAddress'

const json = { Accept: 'application/json' }

test.each([
  [0, '10.0.0.9', '203.0.113.5', '10.0.0.9'],
  [0, '::ffff:203.0.113.5', undefined, '203.0.113.5'],
  [1, '10.0.0.9', '198.51.100.1, 203.0.113.5', '203.0.113.5'],
  [2, '10.0.0.9', '198.51.100.1, 203.0.113.5', '198.51.100.1'],
  [2, '10.0.0.9', '203.0.113.5', '10.0.0.9'],
  [1, '10.0.0.9', '203.0.113.5:4711', '203.0.113.5'],
  [1, '10.0.0.9', '[2001:db8::5]:4711', '2001:db8::5'],
  [1, '10.0.0.9', 'localhost"><script>', '10.0.0.9'],
  [1, '', '', ''],
])('behind %i proxies, %s with X-Forwarded-For %s is %s', (proxies, remoteAddress, forwarded, address) => {
  const request = { headers: { 'x-forwarded-for': forwarded }, socket: { remoteAddress } }
  expect(clientOf(request as never, proxies).address).toBe(address)
})

async function submitFrom(app: Listening, headers: Record<string, string>, email: string) {
  const token = await formToken(app.url, 'wrenfield')
  const answer = await fetch(`${app.url}/f/wrenfield`, {
    method: 'POST',
    headers: { ...json, ...headers },
    body: new URLSearchParams({
      token,
      rating: '5',
      body: `It came whole, and ${email.slice(0, 2)} likes it.`,
      author_name: 'Sam Post',
      author_email: email,
      consent: 'on',
    }),
  })
  return answer.status
}

describe('behind a proxy', () => {
  let app: Listening
  beforeAll(async () => {
    app = await startListener({ TRUST_PROXY: '1' })
  })
  afterAll(() => app.stop())

  test('64 honest senders from 64 addresses all get in, while one sender of 200 is limited', async () => {
    const flood = Array.from({ length: 200 }, (_, i) =>
      submitFrom(app, { 'X-Forwarded-For': `198.51.100.${i}, 203.0.113.99` }, `f${i}@flood.example`),
    )
    const honest = Array.from({ length: 64 }, (_, i) =>
      submitFrom(app, { 'X-Forwarded-For': `203.0.113.${i}` }, `h${i}@post.example`),
    )
    expect((await Promise.all(honest)).filter((status) => status !== 201)).toEqual([])
    const flooded = await Promise.all(flood)
    expect(flooded.filter((status) => status === 201)).toHaveLength(60)
    expect(flooded.filter((status) => status === 429)).toHaveLength(140)
  })

  test('each review carries the address it came from, and that is all the log has of it', async () => {
    const ips: string[] = await app.services.db('review').distinct('ip').pluck('ip')
    expect(ips).toContain('203.0.113.7')
    expect(ips).not.toContain('198.51.100.1')
    const log = JSON.stringify(app.log)
    expect(log).toContain('"client":"203.0.113.0"')
    expect(log).not.toMatch(/203\.0\.113\.7"|post\.example|Sam Post/)
  })
})

describe('without a proxy', () => {
  let app: Listening
  beforeAll(async () => {
    app = await startListener()
  })
  afterAll(() => app.stop())

  test('a client’s own headers change nothing', async () => {
    const lies = (i: number) => ({
      'X-Forwarded-For': `203.0.113.${i}`,
      'X-Elogio-Asker': `203.0.113.${i}`,
      'X-Real-IP': `203.0.113.${i}`,
      Forwarded: `for=203.0.113.${i}`,
    })
    const statuses = await Promise.all(
      Array.from({ length: 70 }, (_, i) => submitFrom(app, lies(i), `l${i}@post.example`)),
    )
    expect(statuses.filter((status) => status === 201)).toHaveLength(60)
    const warnings = app.log.filter(({ level }) => level === 40)
    expect(warnings).toEqual([expect.objectContaining({ msg: expect.stringContaining('TRUST_PROXY') })])
    // Nobody's own address is worth remembering.
    expect(await app.services.db('review').distinct('ip').pluck('ip')).toEqual([''])
  })
})

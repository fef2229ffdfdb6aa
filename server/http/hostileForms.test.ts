import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { openSocket, rawRequest, sendRaw, startListener, type Listening } from '../../tests/support/listener'
import { longestWait, TRIED_AGAIN } from '../../tests/support/longestWait'
import { formToken } from '../../tests/support/submissions'
import { eventually } from '../../tests/support/eventually'

/** Short, so that nobody waits for a slow sender. */
const patience = { maxMs: 3000, windowMs: 400, minBytesPerSecond: 2000 }
let app: Listening
beforeAll(async () => {
  app = await startListener({ TRUST_PROXY: '1' }, { patience })
})
afterAll(() => app.stop())

const json = { Accept: 'application/json' }
const BOUNDARY = '----form'
const multipart = `multipart/form-data; boundary=${BOUNDARY}`
const urlencoded = 'application/x-www-form-urlencoded'
const part = (name: string, value: string) =>
  `--${BOUNDARY}\r\nContent-Disposition: form-data; name="${name}"\r\n\r\n${value}\r\n`
const good = {
  rating: '5',
  body: 'It came whole.',
  author_name: 'Sam Post',
  author_email: 'sam@post.example',
}

const post = (body: string | Buffer | FormData | URLSearchParams, headers: Record<string, string> = {}) =>
  fetch(`${app.url}/f/wrenfield`, {
    method: 'POST',
    redirect: 'manual',
    headers: { ...json, ...headers },
    body: typeof body === 'string' || Buffer.isBuffer(body) ? new Uint8Array(Buffer.from(body)) : body,
  })

const visit = () => fetch(`${app.url}/d/nothing.json`).then((answer) => answer.text())

describe('a form', () => {
  test.each<[string, string | Buffer, string, number]>([
    ['a name 170,000 times', 'a=&'.repeat(170_000), urlencoded, 413],
    ['170,000 names', Array.from({ length: 60_000 }, (_, i) => `a${i}=`).join('&'), urlencoded, 413],
    ['ampersands alone', '&'.repeat(500_000), urlencoded, 413],
    ['400,000 parts', part('a', '').repeat(400_000), multipart, 413],
    ['100,000 boundaries', `--${BOUNDARY}\r\n\r\n\r\n`.repeat(100_000), multipart, 400],
    ['a part without end', part('a', 'x').slice(0, -2), multipart, 400],
    ['a part header of a megabyte', `--${BOUNDARY}\r\n${'x'.repeat(1e6)}`, multipart, 400],
    ['no boundary', part('a', 'x'), 'multipart/form-data', 400],
    ['a long name', `${'a'.repeat(101)}=1`, urlencoded, 400],
    ['a deep name', `a.b.c.d.e=1`, urlencoded, 400],
    ['brackets', `media${'[0]'.repeat(30)}=1`, urlencoded, 400],
    ['more than fits', `body=${'x'.repeat(600_000)}`, urlencoded, 413],
    ['JSON', '{"rating":5}', 'application/json', 415],
    ['text', 'rating=5', 'text/plain', 415],
    ['nothing known', 'rating=5', 'x', 415],
  ])('of %s is refused', TRIED_AGAIN, async (_name, body, type, status) => {
    const answer = post(body, { 'Content-Type': type })
    expect(await longestWait(visit, answer)).toBeLessThan(1000)
    expect((await answer).status).toBe(status)
    expect(await (await answer).json()).toEqual({ error: expect.any(String) })
  })

  test('with an index of four thousand million is looked at only where it was asked', async () => {
    for (const name of ['media[4294967294]', 'rating[99999999]', 'toString', 'a[0].b']) {
      const answer = await post(new URLSearchParams({ ...good, [name]: 'x' }))
      expect(answer.status).toBe(201)
    }
    const polluted = await post(new URLSearchParams({ ...good, '__proto__.x': 'y', 'constructor.x': 'y' }))
    expect([polluted.status, ({} as { x?: string }).x]).toEqual([201, undefined])
  })

  test('sent as a page says on a page what is wrong, and 500 is never the answer', async () => {
    for (const type of ['text/plain', 'application/json', 'multipart/form-data; boundary=', 'x/y']) {
      const answer = await fetch(`${app.url}/f/wrenfield`, {
        method: 'POST',
        headers: { 'Content-Type': type, Accept: 'text/html' },
        body: 'rating=5',
      })
      expect([400, 415]).toContain(answer.status)
      expect(answer.headers.get('Content-Type')).toContain('text/html')
      expect(await answer.text()).toMatch(/<h1>[^<]+<\/h1>/)
    }
  })

  test('that comes in chunks, without a length, is taken up to the same limit', async () => {
    const chunked = (body: string) =>
      rawRequest(
        'POST /f/wrenfield HTTP/1.1',
        { ...json, 'Content-Type': urlencoded, 'Transfer-Encoding': 'chunked' },
        `${body.length.toString(16)}\r\n${body}\r\n0\r\n\r\n`,
      )
    expect((await sendRaw(app.port, chunked(new URLSearchParams(good).toString()))).status).toBe(201)
    expect((await sendRaw(app.port, chunked('x'.repeat(600_000)))).status).toBe(413)
  })
})

describe('a slow sender', () => {
  test('is told so and let go, and holds up nobody who sends what he has', async () => {
    const slow = await Promise.all(
      Array.from({ length: 8 }, async () => {
        const socket = await openSocket(app.port)
        let text = ''
        socket.on('data', (bytes: Buffer) => (text += bytes.toString('latin1')))
        const closed = new Promise<string>((resolve) => socket.on('close', () => resolve(text)))
        socket.write(
          rawRequest('POST /f/wrenfield HTTP/1.1', {
            'Content-Type': multipart,
            'Content-Length': '55000000',
            'X-Forwarded-For': '203.0.113.1',
          }),
        )
        const drip = setInterval(() => socket.write('x'), 50)
        void closed.then(() => clearInterval(drip))
        return closed
      }),
    )
    const form = new FormData()
    for (const [name, value] of Object.entries(good)) form.append(name, value)
    form.append('title', 'x'.repeat(200))
    form.append('media', new File([new Uint8Array(6_000_000)], 'large.jpg'))
    expect((await post(form)).status).toBe(422)
    for (const text of slow) expect(text).toMatch(/^HTTP\/1\.1 408/)
  })
})

describe('photos that come with a form', () => {
  test('have the limit that those sent ahead have, also where the form is refused', async () => {
    const photo = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#f00' } })
      .jpeg()
      .toBuffer()
    const from = { 'X-Forwarded-For': '203.0.113.77' }
    const withPhotos = async () => {
      const form = new FormData()
      for (let i = 0; i < 4; i++) form.append('media', new File([new Uint8Array(photo)], `${i}.jpg`))
      return (await post(form, from)).status
    }
    const statuses = await Promise.all(Array.from({ length: 30 }, withPhotos))
    expect(new Set(statuses)).toEqual(new Set([422]))
    const stored = await app.services.db('pending_photo').pluck('key')
    expect(stored).toHaveLength(80)
    const ahead = await fetch(`${app.url}/f/wrenfield/photo`, {
      method: 'POST',
      headers: from,
      body: new Uint8Array(photo),
    })
    expect(ahead.status).toBe(429)
  })
})

test('one who takes back and restores, or changes, again and again, is stopped, and spam stays spam', async () => {
  const token = await formToken(app.url, 'wrenfield')
  const answer = await post(
    new URLSearchParams({ ...good, token, author_email: 'again@post.example', consent: 'on' }),
  )
  expect(await answer.json()).toMatchObject({ confirm: true })
  const mail = await eventually(() => {
    const found = app.mails.find(({ recipient }) => recipient === 'again@post.example')
    expect(found).toBeDefined()
    return found!
  })
  const link = /\/confirm\/\S+/.exec(mail.text)![0]
  const confirmed = await fetch(app.url + link, { method: 'POST', redirect: 'manual' })
  const own = confirmed.headers.get('Location')!.replace('?thanks', '')
  const { id } = await app.services.db('review').orderBy('id', 'desc').first<{ id: number }>('id')
  const state = async () =>
    (await app.services.db('review').where({ id }).first<{ state: string }>('state')).state
  const act = async (fields: Record<string, string>) =>
    (await fetch(app.url + own, { method: 'POST', body: new URLSearchParams(fields) })).status
  await app.services.db('review').where({ id }).update({ state: 'spam' })
  expect([await act({ act: 'takeBack' }), await state()]).toEqual([200, 'withdrawn'])
  expect([await act({ act: 'bringBack' }), await state()]).toEqual([200, 'spam'])
  const change = (i: number) =>
    act({ act: 'change', rating: '4', body: `Number ${i}`, author_name: 'Sam Post' })
  expect([await change(0), await state()]).toEqual([200, 'spam'])
  const statuses = []
  for (let i = 1; i < 150; i++) statuses.push(await change(i))
  expect(statuses.filter((status) => status === 200)).toHaveLength(7)
  expect(statuses.filter((status) => status === 429)).toHaveLength(142)
})

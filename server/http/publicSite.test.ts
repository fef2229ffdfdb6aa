import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { rawRequest, sendRaw, startListener, type Listening } from '../../tests/support/listener'
import { eventually } from '../../tests/support/eventually'

const ORIGIN = 'https://reviews.wrenfield.example'
const urlencoded = { 'Content-Type': 'application/x-www-form-urlencoded' }

describe('behind a proxy that ends TLS', () => {
  let app: Listening
  beforeAll(async () => {
    app = await startListener({ PUBLIC_URL: ORIGIN, TRUST_PROXY: '1' })
  })
  afterAll(() => app.stop())

  const signIn = (headers: Record<string, string>) => {
    const body = 'email=mara%40elogio.example&password=Mara-secret'
    const length = { 'Content-Length': String(body.length) }
    return sendRaw(
      app.port,
      rawRequest(
        'POST /sign-in?to=/s/wrenfield/gather HTTP/1.1',
        { ...urlencoded, ...length, ...headers },
        body,
      ),
    )
  }

  test.each([
    ['the public host', 'reviews.wrenfield.example'],
    ['the host of the application itself', '127.0.0.1:4310'],
  ])(
    'a page’s form is taken with its own origin, whether the proxy passes on %s or not',
    async (_name, host) => {
      const { status, text } = await signIn({ Host: host, Origin: ORIGIN })
      expect(status).toBe(302)
      expect(text).toMatch(/\r\nlocation: \/s\/wrenfield\/gather\r\n/i)
      expect(text.match(/set-cookie: [^\r]*/gi)).toEqual([
        expect.stringMatching(/elogio_session=.*HttpOnly; Secure; SameSite=Lax/),
        expect.stringMatching(/elogio_device=.*HttpOnly; Secure; SameSite=Lax/),
      ])
      expect(text).toMatch(/strict-transport-security/i)
    },
  )

  test.each([
    ['http://reviews.wrenfield.example'],
    ['https://reviews.wrenfield.example.evil.example'],
    ['http://localhost'],
    ['https://evil.example'],
    ['null'],
    ['x'],
  ])('the origin %s is foreign, also when the host says the same', async (origin) => {
    expect((await signIn({ Host: 'reviews.wrenfield.example', Origin: origin })).status).toBe(403)
    const host = origin.replace(/^https?:\/\//, '')
    expect((await signIn({ Host: host, Origin: origin })).status).not.toBe(302)
  })

  test('a page under a foreign host is at the public address instead; what visitors and watchers fetch is not', async () => {
    const get = (path: string, host: string) =>
      sendRaw(app.port, rawRequest(`GET ${path} HTTP/1.1`, { Host: host }))
    const page = await get('/f/wrenfield?product=HK-2', 'evil.example')
    expect(page.status).toBe(302)
    expect(page.text).toContain(`Location: ${ORIGIN}/f/wrenfield?product=HK-2\r\n`)
    expect(page.text).not.toContain('evil')
    for (const path of ['/healthz', '/embed.js']) expect((await get(path, '10.0.0.7')).status).toBe(200)
    expect((await signIn({ Host: 'evil.example' })).status).toBe(421)
    expect((await get('/sign-in', '127.0.0.1:4310')).status).toBe(200)
  })

  test('links in emails and redirects are at the public address whatever host was asked for', async () => {
    const token = 'x'
    const body = `rating=5&body=Fine&author_name=Sam&author_email=sam%40post.example&token=${token}&consent=on`
    const { status } = await sendRaw(
      app.port,
      rawRequest(
        'POST /f/wrenfield HTTP/1.1',
        {
          ...urlencoded,
          Host: '127.0.0.1',
          Origin: ORIGIN,
          'X-Forwarded-Host': 'evil.example',
          'Content-Length': String(body.length),
        },
        body,
      ),
    )
    expect(status).toBe(302)
    await eventually(() => expect(app.mails).toHaveLength(1))
    expect(app.mails[0]!.text).toContain(`${ORIGIN}/confirm/`)
    expect(app.mails[0]!.text).not.toContain('evil')
  })

  test('private answers are kept by nobody, and nothing of the database can be read by other accounts', async () => {
    const { text } = await signIn({ Host: 'reviews.wrenfield.example', Origin: ORIGIN })
    const cookie = /set-cookie: (elogio_session=[^;]*)/i.exec(text)![1]!
    for (const path of ['/s/wrenfield/gather.data', '/s/wrenfield/gather', '/s/wrenfield/decide.data']) {
      const answer = await sendRaw(
        app.port,
        rawRequest(`GET ${path} HTTP/1.1`, { Host: '127.0.0.1', Cookie: cookie }),
      )
      expect(answer.text).toMatch(/cache-control: private, no-store/i)
      expect(answer.text).toMatch(/x-content-type-options: nosniff/i)
    }
    for (const path of ['/healthz', `/media/${'0'.repeat(32)}.webp`]) {
      const answer = await sendRaw(app.port, rawRequest(`GET ${path} HTTP/1.1`))
      expect(answer.text).toMatch(/x-content-type-options: nosniff/i)
    }
    const { statSync, readdirSync } = await import('node:fs')
    for (const name of readdirSync(app.dataFolder).filter((one) => one.startsWith('elogio.db')))
      expect([name, statSync(`${app.dataFolder}/${name}`).mode & 0o077]).toEqual([name, 0])
  })
})

test('on a machine without a public address localhost and 127.0.0.1 are both fine, and any other name is told so', async () => {
  const app = await startListener({ PUBLIC_URL: 'http://localhost:4310' })
  const post = (host: string) =>
    sendRaw(
      app.port,
      rawRequest(
        'POST /sign-in HTTP/1.1',
        { ...urlencoded, Host: host, Origin: `http://${host}`, 'Content-Length': '48' },
        'email=mara%40elogio.example&password=Mara-secret',
      ),
    )
  expect((await post('localhost:4310')).status).toBe(302)
  expect((await post('127.0.0.1:4310')).status).toBe(302)
  const other = await sendRaw(app.port, rawRequest('GET /sign-in HTTP/1.1', { Host: '192.168.1.5:4310' }))
  expect(other.status).toBe(421)
  expect(other.text).toContain('http://localhost:4310')
  await app.stop()
})

import { afterAll, beforeAll, expect, test } from 'vitest'
import { rawRequest, sendRaw, startListener, type Listening } from '../../tests/support/listener'

let app: Listening
beforeAll(async () => {
  app = await startListener()
})
afterAll(() => app.stop())

const lines = [
  '//',
  '//[',
  '//a:99999/',
  'http://',
  'http://elsewhere.example/',
  '/\\elsewhere.example',
  '*',
  '',
  'x',
  '?',
  '/%',
  '/%zz',
  '/%00',
  '/a%0d%0aX: y',
  '/a%0ab',
  '/s/%2F%2Felsewhere.example',
  '/%c0%af',
  '/%ff',
  '/..//..//',
  '/a b',
  '/#a',
  `/${'a'.repeat(5000)}`,
  '/[',
  '/d/%5c%5c',
].map((target) => `GET ${target} HTTP/1.1`)
const methods = ['TRACE', 'PUT', 'DELETE', 'PATCH', 'CONNECT', 'LOCK', 'FOO', 'get', ''].map(
  (method) => `${method} / HTTP/1.1`,
)
const hosts = [
  'a b',
  'x@evil',
  '[::1',
  '',
  'x:99999',
  'a%',
  ':80',
  'a:b',
  'ä.example',
  '[',
  'a/b',
  'a?b',
  'x:1:2',
]

test.each([...lines, ...methods])('"%s" is answered with a 4xx or closed', async (line) => {
  const { status } = await sendRaw(app.port, rawRequest(line))
  expect([0, 400, 404, 405]).toContain(status)
})

test.each(hosts)('the host "%s" is refused', async (host) => {
  const { status } = await sendRaw(app.port, rawRequest('GET / HTTP/1.1', { Host: host }))
  expect([0, 400]).toContain(status)
})

test.each([
  ['two hosts', rawRequest('GET / HTTP/1.1', { Host: ['localhost', 'elsewhere.example'] })],
  ['no host', 'GET / HTTP/1.1\r\nConnection: close\r\n\r\n'],
  ['no version', 'GET /\r\n\r\n'],
  ['HTTP/2 preface', 'PRI * HTTP/2.0\r\n\r\nSM\r\n\r\n'],
  ['TLS', Buffer.from([22, 3, 1, 2, 0, 1, 0, 1, 252, 3, 3])],
  ['two lengths', rawRequest('POST /sign-in HTTP/1.1', { 'Content-Length': ['1', '2'] }, 'ab')],
  [
    'length and chunks',
    rawRequest(
      'POST /sign-in HTTP/1.1',
      { 'Content-Length': '1', 'Transfer-Encoding': 'chunked' },
      '0\r\n\r\n',
    ),
  ],
  ['a negative length', rawRequest('POST /sign-in HTTP/1.1', { 'Content-Length': '-1' })],
  [
    'a huge chunk',
    rawRequest('POST /sign-in HTTP/1.1', { 'Transfer-Encoding': 'chunked' }, 'fffffffffffffffff\r\n'),
  ],
  ['a header without a colon', 'GET / HTTP/1.1\r\nHost: localhost\r\nfoo\r\n\r\n'],
  ['too many headers', rawRequest('GET / HTTP/1.1', { X: Array.from({ length: 3000 }, () => 'yyyyyyyy') })],
])('%s', async (_name, bytes) => {
  const { status } = await sendRaw(app.port, bytes)
  expect([0, 400, 404, 408, 413, 431, 200]).toContain(status)
})

test('after all of them it answers as before, and each is one line of the log', async () => {
  expect((await fetch(`${app.url}/healthz`)).status).toBe(200)
  const requests = app.log.filter(({ msg }) => msg === 'request')
  expect(requests.length).toBeGreaterThan(lines.length)
  expect(requests.some(({ status }) => Number(status) >= 500)).toBe(false)
  expect(JSON.stringify(requests)).not.toContain('\\r')
})

import { createServer, type RequestListener, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { gzipSync } from 'node:zlib'
import { afterEach, expect, test } from 'vitest'
import { fetchOutside, type OutsideLimits } from './fetchOutside'
import { isPublicAddress } from '../../core/formats/ipAddress'

const open: Server[] = []
afterEach(() => {
  for (const server of open.splice(0)) {
    server.close()
    server.closeAllConnections()
  }
})

async function site(answer: RequestListener): Promise<string> {
  const server = createServer(answer)
  open.push(server)
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  return `127.0.0.1:${(server.address() as AddressInfo).port}`
}

const limits = (allowedHosts: string[], more: Partial<OutsideLimits> = {}): OutsideLimits => ({
  allowedHosts,
  mostBytes: 10_000,
  withinMs: 2000,
  kinds: /^text\/html/,
  ...more,
})

const page: RequestListener = (_, res) => {
  res.writeHead(200, { 'Content-Type': 'text/html' })
  res.end('<p>Hello</p>')
}

test('a page comes with its address, also packed and after a redirect', async () => {
  const host = await site((req, res) => {
    if (req.url === '/old') return void res.writeHead(301, { Location: '/new' }).end()
    res.writeHead(200, { 'Content-Type': 'text/html', 'Content-Encoding': 'gzip' })
    res.end(gzipSync('<p>Hello</p>'))
  })
  const answer = await fetchOutside(`http://${host}/old`, limits([host]))
  expect(answer.url).toBe(`http://${host}/new`)
  expect(answer.body.toString()).toBe('<p>Hello</p>')
})

test('a private address is never asked unless its host is named', async () => {
  let asked = 0
  const host = await site((req, res) => {
    asked++
    page(req, res)
  })
  const port = host.split(':')[1]!
  for (const address of [
    `http://${host}/`,
    `http://localhost:${port}/`,
    `http://[::1]:${port}/`,
    `http://[::ffff:127.0.0.1]:${port}/`,
    `http://2130706433:${port}/`,
    `http://0x7f.1:${port}/`,
    `http://0.0.0.0:${port}/`,
  ])
    await expect(fetchOutside(address, limits([])), address).rejects.toMatchObject({ failure: 'private' })
  expect(asked).toBe(0)
})

test('a redirect leads to no private address either', async () => {
  const inner = await site(page)
  const outer = await site((_, res) => void res.writeHead(302, { Location: `http://${inner}/` }).end())
  await expect(fetchOutside(`http://${outer}/`, limits([outer]))).rejects.toMatchObject({
    failure: 'private',
  })
})

test.each<[string, RequestListener, object]>([
  ['redirects', (_, res) => void res.writeHead(302, { Location: '/again' }).end(), {}],
  ['status', (_, res) => void res.writeHead(503).end(), { status: 503 }],
  ['wrongKind', (_, res) => void res.writeHead(200, { 'Content-Type': 'video/mp4' }).end('x'), {}],
  [
    'tooLarge',
    (_, res) => void res.writeHead(200, { 'Content-Type': 'text/html' }).end('x'.repeat(20_000)),
    {},
  ],
  [
    'tooLarge',
    (_, res) =>
      void res
        .writeHead(200, { 'Content-Type': 'text/html', 'Content-Encoding': 'gzip' })
        .end(gzipSync(Buffer.alloc(5_000_000))),
    {},
  ],
  ['slow', () => undefined, {}],
  ['slow', (_, res) => void res.writeHead(200, { 'Content-Type': 'text/html' }).write('<p>'), {}],
  ['unreachable', (req) => void req.socket.destroy(), {}],
])('a site that is %s is refused as such', async (failure, answer, more) => {
  const host = await site(answer)
  await expect(fetchOutside(`http://${host}/`, limits([host], { withinMs: 400 }))).rejects.toMatchObject({
    failure,
    ...more,
  })
})

test.each([
  'ftp://a.example/',
  'javascript:alert(1)',
  'file:///etc/passwd',
  'http://me:pw@a.example/',
  'http://',
])('%s is no address of a site', async (address) => {
  await expect(fetchOutside(address, limits([]))).rejects.toMatchObject({ failure: 'address' })
})

test('what is not a public address is private', () => {
  for (const address of [
    '10.1.2.3',
    '192.168.0.1',
    '169.254.169.254',
    '100.64.0.1',
    '::1',
    'fe80::1',
    'fc00::1',
    '::ffff:10.0.0.1',
    'nonsense',
  ])
    expect(isPublicAddress(address), address).toBe(false)
  for (const address of ['93.184.216.34', '2606:2800:220:1:248:1893:25c8:1946'])
    expect(isPublicAddress(address), address).toBe(true)
})

import { brotliDecompressSync, gunzipSync } from 'node:zlib'
import { expect, test } from 'vitest'
import { compressed } from './compressed'

const page = '<p>How did we do?</p>'.repeat(100)
const answer = (type: string, body: BodyInit | null = page) =>
  new Response(body, { status: 201, headers: { 'Content-Type': type, 'Set-Cookie': 'a=1' } })
const bytesOf = async (response: Response) => Buffer.from(await response.arrayBuffer())

test('a page is compressed as the client can read it, and keeps its status and headers', async () => {
  const brotli = await compressed(answer('text/html; charset=utf-8'), 'gzip, br')
  expect([brotli.status, brotli.headers.get('Content-Encoding'), brotli.headers.get('Vary')]).toEqual([
    201,
    'br',
    'Accept-Encoding',
  ])
  expect(brotli.headers.getSetCookie()).toEqual(['a=1'])
  const bytes = await bytesOf(brotli)
  expect(brotli.headers.get('Content-Length')).toBe(String(bytes.length))
  expect(brotliDecompressSync(bytes).toString()).toBe(page)
  const routed = await compressed(answer('text/x-script; charset=utf-8'), 'br')
  expect(brotliDecompressSync(await bytesOf(routed)).toString()).toBe(page)
  const gzip = await compressed(answer('application/json'), 'gzip, br;q=0')
  expect(gunzipSync(await bytesOf(gzip)).toString()).toBe(page)
})

test('what a client or a kind forbids stays as it is', async () => {
  for (const [type, accept] of [
    ['text/html', null],
    ['text/html', 'identity'],
    ['image/png', 'br'],
  ] as const) {
    const plain = await compressed(answer(type), accept)
    expect(plain.headers.get('Content-Encoding')).toBeNull()
    expect((await bytesOf(plain)).toString()).toBe(page)
  }
  expect((await bytesOf(await compressed(answer('text/html', 'short'), 'br'))).toString()).toBe('short')
  expect((await compressed(answer('text/html', null), 'br')).body).toBeNull()
})

test('events are passed on one by one', async () => {
  const events = new ReadableStream({
    start: (controller) => controller.enqueue(new TextEncoder().encode('data: 1\n\n')),
  })
  const stream = await compressed(answer('text/event-stream', events), 'br')
  const { value } = await stream.body!.getReader().read()
  expect(new TextDecoder().decode(value)).toBe('data: 1\n\n')
})

import { createServer, request, type IncomingHttpHeaders, type RequestListener } from 'node:http'
import { brotliDecompressSync, gunzipSync } from 'node:zlib'
import { afterEach, describe, expect, test } from 'vitest'
import { wantsFormJson } from './formJson'
import { answerHealth } from './health'
import { prepare } from './prepared'
import { answerPublic } from './publicPaths'
import { patience } from './requestBody'
import { sendPrepared } from './sendPrepared'
import { silentLog } from '../log'
import type { StorageState } from '../storageCheck'
import { buildThrottle } from './throttle'
import { buildUploadMemory } from './uploadMemory'
import { displayJson, visitorPage } from './displayAnswers'
import type { LiveDisplays } from './liveDisplays'

let close: () => void = () => undefined
afterEach(() => close())

interface Answer {
  status: number
  headers: IncomingHttpHeaders
  body: Buffer
}

/** Runs a listener for one request on a real socket. */
async function ask(
  listener: RequestListener,
  headers: Record<string, string> = {},
  method = 'GET',
  path = '/',
  body = '',
): Promise<Answer> {
  const server = createServer(listener)
  await new Promise<void>((resolve) => server.listen(0, resolve))
  close = () => server.close()
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : 0
  return new Promise((resolve, reject) => {
    const req = request({ port, method, path, headers: { Connection: 'close', ...headers } }, (res) => {
      const parts: Buffer[] = []
      res.on('data', (part: Buffer) => parts.push(part))
      res.on('end', () =>
        resolve({ status: res.statusCode!, headers: res.headers, body: Buffer.concat(parts) }),
      )
    })
    req.on('error', reject)
    req.end(body)
  })
}

describe('prepared bytes', () => {
  const text = 'bees '.repeat(400)
  const prepared = prepare(text, { 'Content-Type': 'text/plain' })
  const get = (headers: Record<string, string> = {}, method = 'GET') =>
    ask((req, res) => sendPrepared(req, res, prepared), headers, method)

  test.each([
    ['br, gzip', 'br'],
    ['gzip;q=1.0', 'gzip'],
    ['gzip, br;q=0', 'gzip'],
    ['gzip;q=0.000', undefined],
    ['zebra', undefined],
    ['identity', undefined],
  ])('for "%s" go out as %s', async (accept, encoding) => {
    const answer = await get({ 'Accept-Encoding': accept })
    expect(answer.headers['content-encoding']).toBe(encoding)
    expect(answer.headers.vary).toBe('Accept-Encoding')
    const plain =
      encoding === 'br'
        ? brotliDecompressSync(answer.body)
        : encoding === 'gzip'
          ? gunzipSync(answer.body)
          : answer.body
    expect(plain.toString()).toBe(text)
    expect(Number(answer.headers['content-length'])).toBe(answer.body.length)
  })
  test('are told unchanged by their tag, weak, listed or any', async () => {
    const { etag } = (await get()).headers
    for (const known of [etag!, `W/${etag}`, `"x", ${etag}`, '*']) {
      const answer = await get({ 'If-None-Match': known })
      expect([answer.status, answer.body.length, answer.headers.etag]).toEqual([304, 0, etag])
    }
    expect((await get({ 'If-None-Match': '"x"' })).status).toBe(200)
  })
  test('send only their head when asked for it', async () => {
    const answer = await get({}, 'HEAD')
    expect([answer.status, answer.body.length, answer.headers['content-length']]).toEqual([
      200,
      0,
      String(text.length),
    ])
  })
  test('small ones are not worth compressing', () => {
    expect(prepare('small', {})).toMatchObject({ gzip: null, brotli: null })
  })
})

describe('public paths', () => {
  const heard: [string, string][] = []
  const live = {
    keyOf: (name: string) => (['front-page', 'praise'].includes(name) ? 'front-page' : undefined),
    json: () => displayJson('{"key":"front-page"}'),
  } as unknown as LiveDisplays
  const variants = async (key: string, kind: string, query: URLSearchParams) => {
    if (query.get('product') === 'trouble') throw new Error('the disk is full')
    return kind === '.json'
      ? displayJson(JSON.stringify({ key, product: query.get('product') }))
      : visitorPage(`<style>a{}</style>page${kind}`)
  }
  const files = new Map([['/embed.js', prepare('script', {})]])
  const hearSeen = async (key: string, page: string) => void heard.push([key, page])
  const answering = {
    live,
    variants,
    files,
    hearSeen,
    throttle: buildThrottle(true),
    memory: buildUploadMemory(),
    patience,
    log: silentLog,
  }
  const get = (path: string, method = 'GET', body = '') =>
    ask(
      (req, res) => {
        if (!answerPublic(req, res, '203.0.113.5', answering)) res.writeHead(418).end('the router')
      },
      {},
      method,
      path,
      body,
    )

  test.each([
    ['/d/front-page.json', 200, '{"key":"front-page"}'],
    ['/d/front-page.json?product=HK-2', 200, '{"key":"front-page","product":"HK-2"}'],
    ['/d/front-page', 200, 'page'],
    ['/d/praise', 200, 'page'],
    ['/d/front-page/all', 200, 'page/all'],
    ['/d/front-page.json?product=trouble', 503, ''],
    ['/embed.js', 200, 'script'],
    ['/d/other.json', 404, 'error'],
    ['/d/other', 404, 'Not published yet'],
    ['/d/../secret', 418, 'the router'],
    ['/s/wrenfield/gather', 418, 'the router'],
  ])('%s is answered %i with %s', async (path, status, part) => {
    const answer = await get(path)
    expect(answer.status).toBe(status)
    expect(answer.body.toString()).toContain(part)
  })
  test('any origin may read a display, also when there is none; nobody may post to one', async () => {
    for (const path of ['/d/front-page.json', '/d/other.json'])
      expect((await get(path)).headers['access-control-allow-origin']).toBe('*')
    expect((await get('/d/front-page.json', 'OPTIONS')).status).toBe(204)
    expect((await get('/d/front-page.json', 'POST')).status).toBe(418)
  })
  test('a page lets through its own style and our own script, and nothing else that runs', async () => {
    const policy = String((await get('/d/front-page')).headers['content-security-policy'])
    expect(policy).toMatch(/default-src 'none'; script-src 'self'; style-src 'sha256-[\w+/=]{44}'/)
    expect(policy).not.toMatch(/unsafe|\*/)
  })
  test('a page tells where a display stands; too much telling is not heard', async () => {
    expect((await get('/d/front-page/seen', 'POST', 'https://wrenfield.example/')).status).toBe(204)
    await get('/d/front-page/seen', 'POST', 'x'.repeat(5000)).catch(() => null)
    expect(heard).toEqual([['front-page', 'https://wrenfield.example/']])
  })
})

test('a form’s JSON is asked for by its address and what is accepted', () => {
  const asks = (url: string, accept?: string) => wantsFormJson({ url, headers: { accept } })
  expect(asks('/f/tell-us', 'application/json')).toBe(true)
  expect(asks('/f/tell-us?product=HK-2', 'text/plain, application/json;q=0.9')).toBe(true)
  expect(asks('/f/tell-us', 'text/html,application/xhtml+xml,*/*;q=0.8')).toBe(false)
  expect(asks('/f/tell-us/thanks', 'application/json')).toBe(false)
  expect(asks('/f/tell-us')).toBe(false)
})

describe('/healthz', () => {
  const health = (storage: StorageState, stuck: string[] = []) => {
    const given = {
      checkStorage: async () => storage,
      faults: () => 0,
      heldMs: () => 0,
      jobs: { state: () => ({ running: 1, stuck }) },
      version: '1',
    }
    return ask((req, res) => void answerHealth(req, res, given), {}, 'GET', '/healthz')
  }
  test('is well when the database answers and jobs run, and says which does not', async () => {
    expect((await health('ok')).status).toBe(200)
    const [locked, stuck] = [await health('busy'), await health('ok', ['sendMail'])]
    expect([locked.status, JSON.parse(locked.body.toString())]).toMatchObject([
      503,
      { database: false, storage: 'busy', jobs: true },
    ])
    expect([stuck.status, JSON.parse(stuck.body.toString())]).toMatchObject([
      503,
      { database: true, jobs: false, stuck: ['sendMail'] },
    ])
  })
})

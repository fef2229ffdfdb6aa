import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { mediaAnswers } from './media'

const name = `${'a1'.repeat(16)}.webp`
const folder = mkdtempSync(path.join(tmpdir(), 'elogio-media-'))
let server: Server
let url: string
beforeAll(async () => {
  writeFileSync(path.join(folder, name), 'picture bytes')
  writeFileSync(path.join(folder, 'secret'), 'not a picture')
  const answer = mediaAnswers(folder)
  server = createServer((req, res) => {
    if (!answer(req, res)) res.writeHead(418).end()
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => {
  server.closeAllConnections()
  server.close()
  rmSync(folder, { recursive: true })
})

test('a picture comes with headers that let it be nothing else, and may be kept for ever', async () => {
  for (let time = 0; time < 2; time++) {
    const answer = await fetch(`${url}/media/${name}`)
    expect([answer.status, await answer.text()]).toEqual([200, 'picture bytes'])
    expect(Object.fromEntries(answer.headers)).toMatchObject({
      'content-type': 'image/webp',
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'; sandbox",
      'cache-control': 'public, max-age=31536000, immutable',
      'access-control-allow-origin': '*',
    })
    const again = await fetch(`${url}/media/${name}`, {
      headers: { 'If-None-Match': answer.headers.get('etag')! },
    })
    expect(again.status).toBe(304)
  }
})

test('what is not there, and what is no picture’s name, is not answered from the folder', async () => {
  expect((await fetch(`${url}/media/${'b2'.repeat(16)}.webp`)).status).toBe(404)
  for (const address of [
    '/media/secret',
    '/media/..%2Fsecret',
    '/media/',
    `/media/${name}.part`,
    '/media/A1.webp',
  ])
    expect([address, (await fetch(url + address)).status]).toEqual([address, 418])
  expect((await fetch(`${url}/media/${name}`, { method: 'POST' })).status).toBe(418)
})

test('a video comes in the parts that a browser asks for', async () => {
  const film = `${'c3'.repeat(16)}.mp4`
  writeFileSync(path.join(folder, film), 'a whole film of bees')
  const asked = (range?: string) =>
    fetch(`${url}/media/${film}`, { headers: range === undefined ? {} : { Range: range } })
  const whole = await asked()
  expect([whole.status, await whole.text()]).toEqual([200, 'a whole film of bees'])
  expect(Object.fromEntries(whole.headers)).toMatchObject({
    'content-type': 'video/mp4',
    'accept-ranges': 'bytes',
    'x-content-type-options': 'nosniff',
    'content-security-policy': "default-src 'none'; sandbox",
    'cache-control': 'public, max-age=31536000, immutable',
  })
  const part = await asked('bytes=2-6')
  expect([part.status, await part.text(), part.headers.get('content-range')]).toEqual([
    206,
    'whole',
    'bytes 2-6/20',
  ])
  expect((await asked('bytes=90-')).status).toBe(416)
  expect((await fetch(`${url}/media/${'d4'.repeat(16)}.webm`)).status).toBe(404)
  expect((await fetch(`${url}/media/${film}`, { method: 'POST' })).status).not.toBe(200)
})

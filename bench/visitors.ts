import { fork, spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { Agent, get } from 'node:http'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { gzipSync } from 'node:zlib'
import { layouts, type Layout } from '../core/display/choices'
import { jsonLdOf } from '../core/display/jsonLd'
import { fillDemo } from '../demo/fill'
import { renderDisplay } from '../onsite/render'
import { configured, showable, shownOf } from '../tests/support/display'

/**
 * The cost of visitors: CPU time for each request against a bare server in the same run, and the bytes sent.
 */
const REQUESTS = 20_000
const ROUNDS = 5
const TICKS_PER_SECOND = 100
const agent = new Agent({ keepAlive: true, maxSockets: 8 })

const folder = mkdtempSync(path.join(tmpdir(), 'elogio-bench-'))
const port = 4390
const url = `http://localhost:${port}`
const siteUrl = `http://localhost:${port + 1}`
// The demo's shop is connected to the outside sites.
const standins = spawn(process.execPath, ['build/app/standins.js'], {
  env: {
    ...process.env,
    STANDIN_PORT: String(port + 1),
    STANDIN_SMTP_PORT: String(port + 2),
    ELOGIO_URL: url,
  },
  stdio: 'ignore',
})
while (!(await fetch(siteUrl).catch(() => null))?.ok) await new Promise((resolve) => setTimeout(resolve, 50))
await fillDemo(folder, { publicUrl: url, siteUrl, secret: null })
standins.kill()
const application = spawn(process.execPath, ['build/app/main.js'], {
  env: { ...process.env, NODE_ENV: 'production', PORT: String(port), PUBLIC_URL: url, ELOGIO_DATA: folder },
  stdio: 'ignore',
})
try {
  while (!(await fetch(`${url}/healthz`).catch(() => null))?.ok)
    await new Promise((resolve) => setTimeout(resolve, 50))
  const answer = await fetch(`${url}/d/front-page.json`, { headers: { 'Accept-Encoding': 'identity' } })
  const bytesFile = path.join(folder, 'answer')
  const sent = await wire(`${url}/d/front-page.json`)
  writeFileSync(bytesFile, sent.body)
  const bare = fork('bench/bareServer.ts', [bytesFile, JSON.stringify(sent.headers)], {
    execArgv: ['--import', 'tsx'],
  })
  const barePort = await new Promise<number>((resolve) =>
    bare.once('message', (message) => resolve(Number(message))),
  )

  const ours: number[] = []
  const floor: number[] = []
  await cost(application, `${url}/d/front-page.json`)
  await cost(bare, `http://localhost:${barePort}/`)
  for (let round = 0; round < ROUNDS; round++) {
    floor.push(await cost(bare, `http://localhost:${barePort}/`))
    ours.push(await cost(application, `${url}/d/front-page.json`))
  }
  bare.kill()
  const [ourCost, floorCost] = [median(ours), median(floor)]
  console.log(
    `display served: ${ourCost.toFixed(0)} µs CPU a request, bare server ${floorCost.toFixed(0)} µs, ratio ${(ourCost / floorCost).toFixed(2)} (goal 1.25)`,
  )
  console.log(
    `demo display: ${(await answer.text()).length} bytes of JSON, ${sent.body.length} sent compressed`,
  )
  console.log(
    `loader: ${gzipSync(readFileSync('build/onsite/embed.js'), { level: 9 }).length} bytes gzip (goal 3,000)`,
  )
  for (const kind of layouts)
    console.log(
      `12 reviews of 60 words, ${kind}: ${twelveReviews(kind)} bytes gzip of HTML, CSS and JSON-LD (goal 8,000)`,
    )
  for (const name of readdirSync('build/onsite/parts').filter((file) => file.endsWith('.js')))
    console.log(
      `what a layout adds, ${name.replace(/-.*/, '')}: ${gzipSync(readFileSync(`build/onsite/parts/${name}`), { level: 9 }).length} bytes gzip (goal 2,000)`,
    )
} finally {
  application.kill()
  agent.destroy()
  rmSync(folder, { recursive: true, force: true })
}

/** CPU time of a process for each request (user and system), in microseconds. */
async function cost(server: ChildProcess, address: string): Promise<number> {
  const before = cpuTicks(server)
  let left = REQUESTS
  await Promise.all(
    Array.from({ length: 8 }, async () => {
      while (left-- > 0) await wire(address)
    }),
  )
  return ((cpuTicks(server) - before) / TICKS_PER_SECOND / REQUESTS) * 1e6
}

function cpuTicks({ pid }: ChildProcess): number {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ')
  return Number(fields[11]) + Number(fields[12])
}

function wire(address: string): Promise<{ body: Buffer; headers: Record<string, unknown> }> {
  return new Promise((resolve, reject) => {
    get(address, { agent, headers: { 'Accept-Encoding': 'br' } }, (res) => {
      const parts: Buffer[] = []
      res.on('data', (part: Buffer) => parts.push(part))
      res.on('end', () => {
        const {
          date: _date,
          connection: _connection,
          'keep-alive': _keep,
          'content-length': _length,
          ...headers
        } = res.headers
        resolve({ body: Buffer.concat(parts), headers })
      })
    }).on('error', reject)
  })
}

function median(values: number[]): number {
  return values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!
}

/** Words that don't repeat between reviews, so that compression isn't better than with real ones. */
function twelveReviews(kind: Layout): number {
  const syllables = 'ba ne ri to lu ka sem dor vil pan gra hos tim lec mur zen fol wid jas pel'.split(' ')
  let seed = 1
  const chance = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647
  const word = () =>
    Array.from({ length: 1 + Math.floor(chance() * 3) }, () => syllables[Math.floor(chance() * 20)]).join('')
  const reviews = Array.from({ length: 12 }, (_, i) =>
    showable(i + 1, 300 + 100 * (i % 3), {
      body: Array.from({ length: 60 }, word).join(' '),
      authorName: `${word()} ${word()}`,
      language: 'en',
      productSku: 'HK-2',
      productTitle: `${word()} ${word()}`,
      boughtAt: '2026-01-01T00:00:00Z',
    }),
  )
  const model = shownOf(
    reviews,
    configured({ title: 'Praise', selection: { limit: 12 }, layout: { kind } }),
    { product: 'HK-2' },
  )
  const { html, css } = renderDisplay(model)
  return gzipSync(html + css + JSON.stringify(jsonLdOf(model, url)), { level: 9 }).length
}

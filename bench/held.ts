import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { performance } from 'node:perf_hooks'
import { owner } from '../demo/members'
import { startDemo, type Running } from '../tests/support/application'
import { removePrepared } from '../tests/support/prepared'
import { formToken, submit, variedSentence } from '../tests/support/submissions'

/**
 * Measures waiting times during long work: an import of a million order lines, and 500 variants of displays.
 * Meanwhile somebody decides, a customer sends forms and visitors request a display. The same without long
 * work is the floor in the same run.
 */
const LINES = Number(process.argv[2] ?? 1_000_000)
const PIECE_BYTES = 4_000_000
const RESTING_MS = 15_000

const demo = await startDemo()
try {
  const cookie = await signIn(demo)
  const rest = await whileDoing(demo, cookie, () => pause(RESTING_MS))
  print('at rest', rest)
  const { seconds, waits } = await importing(demo, cookie)
  print(`while ${LINES.toLocaleString('en')} order lines are imported in ${seconds.toFixed(0)} s`, waits)
  const asked = await whileDoing(demo, cookie, () => variants(demo))
  print('while 500 variants of displays are asked for', asked)
} finally {
  await demo.stop()
  removePrepared()
}

type Waits = Record<string, number[]>

function print(what: string, waits: Waits): void {
  console.log(`\n${what}`)
  for (const [name, times] of Object.entries(waits)) {
    const sorted = times.toSorted((a, b) => a - b)
    const at = (share: number) => (sorted[Math.floor(sorted.length * share)] ?? 0).toFixed(0)
    console.log(
      `${name.padEnd(18)} p50 ${at(0.5)} ms, p95 ${at(0.95)} ms, p99 ${at(0.99)} ms, most ${(sorted.at(-1) ?? 0).toFixed(0)} ms, of ${sorted.length}`,
    )
  }
}

/** Repeats what people do until something ends, and records each waiting time. */
async function whileDoing(running: Running, cookie: string, work: () => Promise<unknown>): Promise<Waits> {
  const waits: Waits = {}
  let ended = false
  const timed = async (name: string, act: () => Promise<Response>) => {
    const started = performance.now()
    const answer = await act()
    await answer.arrayBuffer()
    ;(waits[name] ??= []).push(performance.now() - started)
    if (answer.status >= 400) throw new Error(`${name}: ${answer.status}`)
  }
  const again = async (everyMs: number, act: (i: number) => Promise<void>) => {
    for (let i = 0; !ended; i++) {
      await act(i)
      await pause(everyMs)
    }
  }
  const owned = (path: string, init: RequestInit = {}) =>
    fetch(running.url + path, { ...init, headers: { Cookie: cookie, Origin: running.url } })
  const people = [
    again(15, () => timed('display', () => fetch(`${running.url}/d/front-page.json`))),
    again(150, () => timed('queue', () => owned('/s/wrenfield/decide.data?lane=approved'))),
    again(250, async (i) => {
      const review = await firstReview(running, cookie)
      const act = JSON.stringify({ kind: i % 2 === 0 ? 'decline' : 'approve', reasonId: null })
      await timed('decide', () =>
        owned(review.replace(/$/, '.data'), {
          method: 'POST',
          body: new URLSearchParams({ act, revision: '0' }),
        }),
      )
    }),
    again(400, async (i) => {
      const token = await formToken(running.url, 'tell-us')
      await timed('form', () =>
        submit(running.url, 'tell-us', {
          token,
          body: `${variedSentence(i)} ${i}`,
          author_email: `bench${i}@street${i}.example`,
        }),
      )
    }),
  ]
  let heldMs = 0
  people.push(
    again(1000, async () => {
      const health = (await (await fetch(`${running.url}/healthz`)).json()) as { heldMs: number }
      heldMs = Math.max(heldMs, health.heldMs)
    }),
  )
  await work().finally(() => (ended = true))
  await Promise.all(people)
  console.log(`the main thread was held for ${heldMs} ms at most`)
  return waits
}

async function importing(running: Running, cookie: string) {
  const address = `${running.url}/s/wrenfield/gather/orders`
  const headers = { Cookie: cookie, Origin: running.url }
  const file = Buffer.from(orderLines())
  for (let at = 0; at < file.length; at += PIECE_BYTES) {
    const piece = file.subarray(at, at + PIECE_BYTES)
    const query = `upload=benchbench&at=${at}`
    const sent = await fetch(`${address}/piece?${query}`, { method: 'POST', headers, body: piece })
    if (!sent.ok) throw new Error(`piece: ${sent.status} ${await sent.text()}`)
  }
  const body = new URLSearchParams({ upload: 'benchbench', name: 'bench.csv' })
  const started = performance.now()
  const waits = await whileDoing(running, cookie, async () => {
    await fetch(`${address}.data`, { method: 'POST', headers, body })
    for (;;) {
      await pause(500)
      const page = await (await fetch(address, { headers })).text()
      if (/rows were imported/.test(page)) return
      if (/role="alert"/.test(page)) throw new Error(/role="alert"[^>]*>([^<]*)/.exec(page)?.[1])
    }
  })
  return { seconds: (performance.now() - started) / 1000, waits }
}

function orderLines(): string {
  const lines = ['number,email,name,product_sku,product_title,placed_at,delivered_at,status']
  for (let i = 0; i < LINES; i++)
    lines.push(
      `B-${Math.floor(i / 2)},buyer${Math.floor(i / 2)}@post.example,Buyer ${i},SKU-${i % 500},Product ${i % 500},2026-03-02,2026-03-09,delivered`,
    )
  return lines.join('\n')
}

async function variants(running: Running): Promise<void> {
  const asking = spawn(process.execPath, ['--import', 'tsx', 'bench/askVariants.ts', running.url], {
    stdio: ['ignore', 'inherit', 'inherit'],
  })
  const [code] = await once(asking, 'exit')
  if (code !== 0) throw new Error(`asking for variants ended with ${code}`)
}

async function firstReview(running: Running, cookie: string): Promise<string> {
  const answer = await fetch(`${running.url}/s/wrenfield/decide?lane=approved`, {
    redirect: 'manual',
    headers: { Cookie: cookie },
  })
  return answer.headers.get('Location')!.replace(/\?.*/, '')
}

async function signIn(running: Running): Promise<string> {
  const answer = await fetch(`${running.url}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    headers: { Origin: running.url },
    body: new URLSearchParams({ email: owner.email, password: owner.password }),
  })
  return answer.headers.get('Set-Cookie')!.split(';')[0]!
}

function pause(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms))
}

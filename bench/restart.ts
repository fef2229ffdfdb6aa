import { spawn, type ChildProcess } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { performance } from 'node:perf_hooks'
import path from 'node:path'
import { openDatabase } from '../server/data/database'
import { freePort } from '../tests/support/application'
import { submit } from '../tests/support/submissions'
import { filledShop } from './filledShop'

/**
 * A restart with many reviews: the time until the application answers, the time until the first arrival is
 * answered, and the memory. It is started once before, so that all migrations are done.
 */
const REVIEWS = Number(process.argv[2] ?? 1_000_000)

const { folder, services, close } = await filledShop(REVIEWS)
await services.db.raw('PRAGMA wal_checkpoint(TRUNCATE)')
await services.db.destroy()
try {
  const before = await start()
  await submit(before.url, 'bench', { author_email: 'first@bench.example' })
  await settled()
  await ended(before.child)
  const { url, child, readyMs } = await start()
  const asked = performance.now()
  const answer = await submit(url, 'bench', {
    body: 'A word about lids.',
    author_email: 'second@bench.example',
  })
  const firstMs = performance.now() - asked
  if (answer.status !== 201) throw new Error(`the first arrival: ${answer.status}`)
  const again = performance.now()
  await submit(url, 'bench', { body: 'A word about boxes.', author_email: 'third@bench.example' })
  console.log(`${REVIEWS.toLocaleString('en')} reviews`)
  console.log(`ready after ${(readyMs / 1000).toFixed(1)} s (goal 10 s)`)
  console.log(
    `first arrival answered after ${firstMs.toFixed(0)} ms, the second after ${(performance.now() - again).toFixed(0)} ms (goal 1,000 ms)`,
  )
  console.log(`memory: ${memoryMb(child, 'VmRSS')} MB, at most ${memoryMb(child, 'VmHWM')} MB (goal 400 MB)`)
  await ended(child)
} finally {
  await close()
}

/** Waits until all fingerprints are stored. */
async function settled(): Promise<void> {
  const db = await openDatabase(path.join(folder, 'elogio.db'))
  for (let count = -1; ;) {
    const [row] = await db('fingerprint').count<{ n: number }[]>({ n: '*' })
    if (row!.n === count) break
    count = row!.n
    await new Promise((resolve) => setTimeout(resolve, 3000))
  }
  await db.destroy()
}

async function start(): Promise<{ url: string; child: ChildProcess; readyMs: number }> {
  const port = await freePort()
  const url = `http://localhost:${port}`
  const started = performance.now()
  const child = spawn(process.execPath, ['build/app/main.js'], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: String(port),
      PUBLIC_URL: url,
      ELOGIO_DATA: folder,
      ELOGIO_THROTTLE: 'off',
      LOG_LEVEL: 'error',
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  while (!(await fetch(`${url}/healthz`).catch(() => null))?.ok)
    await new Promise((resolve) => setTimeout(resolve, 20))
  return { url, child, readyMs: performance.now() - started }
}

function ended(child: ChildProcess): Promise<void> {
  return new Promise((resolve) => {
    child.once('exit', () => resolve())
    child.kill('SIGTERM')
  })
}

function memoryMb({ pid }: ChildProcess, which: 'VmRSS' | 'VmHWM'): number {
  const line = new RegExp(`${which}:\\s+(\\d+) kB`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))
  return Math.round(Number(line![1]) / 1024)
}

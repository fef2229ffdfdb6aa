import Database from 'better-sqlite3'
import { readdirSync } from 'node:fs'
import path from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { pendingFolder } from '../media/keepFile'
import { makeLive } from '../publishing/draft'
import { startListener, type Listening } from '../../tests/support/listener'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { longestWait, TRIED_AGAIN } from '../../tests/support/longestWait'
import { formToken } from '../../tests/support/submissions'
import { eventually } from '../../tests/support/eventually'

let app: Listening
let mara: SignedIn
beforeAll(async () => {
  app = await startListener({ ELOGIO_THROTTLE: 'off' })
  await makeLive(app.services, app.shop, app.member, 'wrenfield-page')
  mara = await signedIn(app, app.member)
  await eventually(async () => expect((await display()).status).toBe(200))
})
afterAll(() => app.stop())
beforeEach(() => {
  // What was found out about the storage is old by then.
  app.clock.now = new Date(app.clock.now.getTime() + 10_000)
})

const display = () => fetch(`${app.url}/d/wrenfield-page.json`)
const health = async () => {
  const answer = await fetch(`${app.url}/healthz`)
  return { answered: answer.status, ...((await answer.json()) as object) }
}
const fields = (words: string) => ({
  rating: '5',
  title: 'Kept',
  body: words,
  author_name: 'Sam Post',
  author_email: 'sam@post.example',
  consent: 'on',
})
async function submit(words: string, accept = 'application/json') {
  const token = await formToken(app.url, 'wrenfield')
  const answer = await fetch(`${app.url}/f/wrenfield`, {
    method: 'POST',
    redirect: 'manual',
    headers: { Accept: accept },
    body: new URLSearchParams({ ...fields(words), token }),
  })
  return { status: answer.status, text: await answer.text() }
}
const kept = (words: string) => app.services.db('review_version').where({ body: words }).pluck('id')
const firstReview = () =>
  app.services.db('review').first<{ public_id: string; revision: number; state: string }>()

/** Does something while another program holds the database; answers how long others waited for a display at most. */
async function whileLocked(work: () => Promise<void>): Promise<number> {
  const other = new Database(path.join(app.dataFolder, 'elogio.db'))
  other.exec('BEGIN EXCLUSIVE')
  const done = work()
  const longest = await longestWait(async () => expect((await display()).status).toBe(200), done)
  other.exec('ROLLBACK')
  other.close()
  await done
  return longest
}

/** Does something while the database cannot grow. */
async function whileFull(work: () => Promise<void>): Promise<void> {
  const { db } = app.services
  const [counted] = await db.raw<{ page_count: number }[]>('PRAGMA page_count')
  await db.raw(`PRAGMA max_page_count = ${counted!.page_count}`)
  // What is left in pages that are not full yet goes first.
  const filler = 'x'.repeat(3000)
  for (let i = 0; i < 300; i++)
    if ((await submit(`${i} ${filler.slice(String(i).length + 1)}`)).status !== 201) break
  try {
    await work()
  } finally {
    await db.raw('PRAGMA max_page_count = 1000000')
  }
}

describe('a database that another program holds', TRIED_AGAIN, () => {
  test('for a moment is waited for, and holds up no visitor', async () => {
    const words = `Sent while it was locked at ${performance.now()}`
    const longest = await whileLocked(async () => {
      const sending = submit(words)
      await new Promise((resolve) => setTimeout(resolve, 600))
      void sending
    })
    expect(longest).toBeLessThan(3000)
    await eventually(async () => expect(await kept(words)).toHaveLength(1))
  })

  test('for long is said: to customers with what they typed, to members in place, and by /healthz', async () => {
    const { public_id: id, revision } = await firstReview()
    const longest = await whileLocked(async () => {
      const [page, program, decision, healthy] = await Promise.all([
        submit('Typed on a page', 'text/html'),
        submit('Sent by a program'),
        mara.post(`/s/wrenfield/decide/${id}.data`, {
          act: '{"kind":"approve"}',
          revision: String(revision),
        }),
        health(),
      ])
      expect([page.status, program.status, decision.status, healthy.answered]).toEqual([503, 503, 503, 503])
      expect(page.text).toContain('What you typed is still here')
      expect(page.text).toContain('Typed on a page')
      expect(page.text).toContain('value="Kept"')
      expect(JSON.parse(program.text)).toEqual({ error: expect.stringContaining('couldn’t be saved') })
      expect(await decision.text()).toContain('busy')
      expect(healthy).toMatchObject({ database: false, storage: 'busy' })
    })
    expect(longest).toBeLessThan(3000)
    app.clock.now = new Date(app.clock.now.getTime() + 10_000)
    expect(await health()).toMatchObject({ answered: 200, storage: 'ok', faults: 0 })
    expect((await submit('Typed on a page')).status).toBe(201)
    expect((await firstReview()).revision).toBe(revision)
  })
})

describe('a disk that is full', () => {
  test('is said, loses nothing that was acknowledged and leaves no half a file', async () => {
    await whileFull(async () => {
      const before = await app.services.db('review').count({ n: '*' })
      const { status, text } = await submit(`Full ${'y'.repeat(2900)}`, 'text/html')
      expect(status).toBe(503)
      expect(text).toContain('What you typed is still here')
      expect(text).toContain(`Full ${'y'.repeat(2900)}`)
      expect((await submit(`Full ${'y'.repeat(2900)}`)).status).toBe(503)
      expect(await health()).toMatchObject({ answered: 503, database: false, storage: 'full' })
      expect((await display()).status).toBe(200)
      expect(await app.services.db('review').count({ n: '*' })).toEqual(before)
    })
    app.clock.now = new Date(app.clock.now.getTime() + 10_000)
    expect(await health()).toMatchObject({ answered: 200, storage: 'ok' })
    expect((await submit('There is room again')).status).toBe(201)
  })

  test('refuses a photo in words, and no part of it stays', async () => {
    const noise = await sharp({
      create: {
        width: 64,
        height: 64,
        channels: 3,
        noise: { type: 'gaussian', mean: 128, sigma: 60 },
        background: '#000',
      },
    })
      .png()
      .toBuffer()
    await whileFull(async () => {
      const statuses = []
      for (let i = 0; i < 60; i++) {
        const photo = await sharp(noise).rotate(i).png().toBuffer()
        const answer = await fetch(`${app.url}/f/wrenfield/photo`, {
          method: 'POST',
          body: new Uint8Array(photo),
        })
        statuses.push(answer.status)
      }
      expect(new Set(statuses).has(500)).toBe(false)
      expect(statuses.at(-1)).toBe(503)
    })
    expect(readdirSync(pendingFolder(app.services)).filter((name) => name.endsWith('.part'))).toEqual([])
  })
})

import path from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { helper, owner, type MemberStory } from '../demo/members'
import { openDatabase } from '../server/data/database'
import { startDemo, type Running } from './support/application'
import { phone, withBrowser } from './support/browser'
import { pageOf } from './support/page'

let demo: Running
beforeAll(async () => {
  demo = await startDemo()
})
afterAll(() => demo.stop())

const json = { Accept: 'application/json' }
const good = {
  rating: '5',
  body: 'Sturdy hive, cut true.',
  author_name: 'Piotr Lis',
  author_email: 'piotr@lis.example',
  consent: 'on',
}
const formUrl = () => `${demo.url}/f/tell-us`

async function token(): Promise<string> {
  const answer = await fetch(formUrl(), { headers: json })
  return ((await answer.json()) as { token: string }).token
}

async function send(fields: Record<string, string>, headers: Record<string, string> = {}) {
  const answer = await fetch(formUrl(), {
    method: 'POST',
    headers: { ...json, ...headers },
    body: new URLSearchParams({ ...good, ...fields }),
  })
  return { status: answer.status, body: (await answer.json()) as Record<string, unknown> }
}

/** Signs in as a person's browser does and answers her cookie. */
async function signIn({ email, password }: MemberStory): Promise<string> {
  const answer = await fetch(`${demo.url}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    headers: { Origin: demo.url },
    body: new URLSearchParams({ email, password }),
  })
  return answer.headers.get('Set-Cookie')!.split(';')[0]!
}

async function status(path: string, cookie: string, init: RequestInit = {}): Promise<number> {
  return (
    await fetch(demo.url + path, {
      redirect: 'manual',
      ...init,
      headers: { Cookie: cookie, Origin: demo.url },
    })
  ).status
}

/** The address of the first review that a shop's Decide opens in a lane. */
async function firstReview(shop: string, cookie: string, lane = 'waiting'): Promise<string> {
  const answer = await fetch(`${demo.url}/s/${shop}/decide?lane=${lane}`, {
    redirect: 'manual',
    headers: { Cookie: cookie },
  })
  return answer.headers.get('Location')!.replace(/\?.*/, '')
}

describe('the form’s JSON', () => {
  test('tells its fields and hands out a token', async () => {
    const answer = await fetch(formUrl(), { headers: json })
    const body = (await answer.json()) as { token: string; fields: { name: string }[] }
    expect(answer.headers.get('Content-Type')).toContain('application/json')
    expect(body.fields.map(({ name }) => name)).toEqual([
      'rating',
      'title',
      'body',
      'author_name',
      'author_email',
      'order_number',
      'product',
      'media',
      'consent',
    ])
    expect(body.token).toMatch(/^\S{40,}$/)
  })
  test('takes a review once, however often it is sent', async () => {
    const once = { token: await token() }
    const first = await send(once)
    expect(first).toMatchObject({ status: 201, body: { state: 'waiting', confirm: true } })
    expect(await send({ ...once, body: 'Changed' })).toEqual(first)
    const others = await send({ token: await token() })
    expect(others.body.id).not.toBe(first.body.id)
  })
  test('a missing token and a sprung trap hold', async () => {
    expect((await send({})).body).toMatchObject({ state: 'held' })
    expect((await send({ token: await token(), website: 'x' })).body).toMatchObject({ state: 'held' })
  })
  test.each([
    [{ rating: '9' }, { rating: ['A rating is a whole number from 1 to 5.'] }],
    [{ author_name: 'x'.repeat(10_000) }, { author_name: ['That’s longer than 120 characters.'] }],
    [
      { rating: '', author_email: 'no' },
      {
        rating: ['Please choose a rating.'],
        author_email: ['That email looks incomplete. It should look like anna@post.example.'],
      },
    ],
  ])('%j is refused at its field', async (fields, errors) => {
    expect(await send({ token: await token(), ...fields })).toEqual({ status: 422, body: { errors } })
  })
  test('a foreign origin, too much and a strange type are refused', async () => {
    expect((await send({}, { Origin: 'https://elsewhere.example' })).status).toBe(403)
    expect((await send({}, { Origin: 'null' })).status).toBe(403)
    expect((await send({}, { Origin: demo.url })).status).toBe(201)
    expect((await send({ body: 'x'.repeat(600_000) })).status).toBe(413)
    const strange = await fetch(formUrl(), {
      method: 'POST',
      headers: { ...json, 'Content-Type': 'application/json' },
      body: '{}',
    })
    expect(strange.status).toBe(415)
    expect((await fetch(`${demo.url}/f/nowhere`, { headers: json })).status).toBe(404)
  })
})

describe('one shop', () => {
  test('is closed to whoever is not part of it, page by page and act by act', async () => {
    const [mara, ned] = [await signIn(owner), await signIn(helper)]
    const review = await firstReview('wrenfield', mara)
    const id = review.split('/').pop()!
    const pages = [
      '/s/wrenfield/gather',
      '/s/wrenfield/decide',
      review,
      '/s/wrenfield/show',
      '/s/wrenfield/show/front-page',
    ]
    for (const page of pages) {
      expect([page, await status(page, mara)]).toEqual([page, page === '/s/wrenfield/decide' ? 302 : 200])
      expect([page, await status(page, ned)]).toEqual([page, 404])
      expect([page, await status(`${page}.data`, ned)]).toEqual([`${page}`, 404])
      expect([page, await status(page, '')]).toEqual([page, 302])
    }
    expect(await status('/s/saltmarsh/gather', ned)).toBe(200)
    expect(await status(`/s/saltmarsh/decide/${id}`, ned)).toBe(404)
    expect(await status('/s/saltmarsh/show/front-page', ned)).toBe(404)

    const approve = {
      method: 'POST',
      body: new URLSearchParams({ act: '{"kind":"approve"}', revision: '1' }),
    }
    const live = { method: 'POST', body: new URLSearchParams({ intent: 'live' }) }
    expect(await status(review, ned, approve)).toBe(404)
    expect(await status(`/s/wrenfield/decide/undo`, ned, { method: 'POST' })).toBe(404)
    expect(await status('/s/saltmarsh/show/front-page', ned, live)).toBe(404)
    const many = { act: '{"kind":"spam"}', ids: `${id}:1`, at: new Date().toISOString() }
    const aside = { what: 'note', text: 'mine' }
    for (const [shop, expected] of [
      ['wrenfield', 404],
      ['saltmarsh', 0],
    ] as const) {
      const post = (part: string, fields: Record<string, string>) =>
        status(`/s/${shop}/${part}`, ned, { method: 'POST', body: new URLSearchParams(fields) })
      const answers = [
        await post('decide/many', many),
        await post(`decide/${id}/aside`, aside),
        await post('decide/undo', { review: id, number: '1' }),
      ]
      if (expected) expect(answers).toEqual(answers.map(() => expected))
    }
    expect(await status('/s/wrenfield/decide/views', ned, { method: 'POST' })).toBe(404)
    expect(await status('/s/wrenfield/settings/account', ned, { method: 'POST' })).toBe(404)
    await status(`/s/saltmarsh/decide/${id}`, ned, approve)
    const page = await (await fetch(demo.url + review, { headers: { Cookie: mara } })).text()
    expect(page).toContain('Arrived through the form')
    expect(page).not.toContain('approved it')
    expect(page).not.toContain('marked it as spam')
    expect(page).not.toContain('>mine<')
  })
  test('takes no act from another site', async () => {
    const mara = await signIn(owner)
    const review = await firstReview('wrenfield', mara)
    const answer = await fetch(demo.url + review, {
      method: 'POST',
      headers: { Cookie: mara, Origin: 'https://elsewhere.example' },
      body: new URLSearchParams({ act: '{"kind":"spam"}', revision: '1' }),
    })
    expect(answer.status).toBe(403)
  })
  test('an act that makes no sense is refused and changes nothing', async () => {
    const mara = await signIn(owner)
    const review = await firstReview('wrenfield', mara)
    expect(
      await status(review, mara, {
        method: 'POST',
        body: new URLSearchParams({ act: '{"kind":"praise"}', revision: '1' }),
      }),
    ).toBe(400)
    const broken = {
      method: 'POST',
      body: new URLSearchParams({ intent: 'save', configuration: '{"schema":9' }),
    }
    expect(await status('/s/wrenfield/show/front-page', mara, broken)).toBe(400)
  })
})

describe('what visitors fetch', () => {
  const display = (headers: Record<string, string> = {}) =>
    fetch(`${demo.url}/d/front-page.json`, { headers })
  test('may be read from any origin, is compressed and told unchanged by its tag', async () => {
    const first = await display({ Origin: 'https://wrenfield.example', 'Accept-Encoding': 'br' })
    expect(Object.fromEntries(first.headers)).toMatchObject({
      'access-control-allow-origin': '*',
      'cache-control': 'no-cache, s-maxage=1',
      'content-encoding': 'br',
      vary: 'Accept-Encoding',
    })
    const tag = first.headers.get('ETag')!
    expect(tag).toMatch(/^"[^"]+"$/)
    expect((await display({ 'If-None-Match': tag })).status).toBe(304)
    expect((await display({ 'If-None-Match': '"other"' })).status).toBe(200)
    expect(Object.keys((await first.json()) as object)).toEqual([
      'key',
      'version',
      'language',
      'html',
      'css',
      'jsonLd',
      'stats',
      'more',
    ])
    expect((await fetch(`${demo.url}/d/nothing.json`)).status).toBe(404)
  })
  test('sets no cookie, and its page stands without scripts', async () => {
    for (const path of ['/embed.js', '/d/front-page.json', '/d/front-page', '/f/tell-us'])
      expect((await fetch(demo.url + path)).headers.get('Set-Cookie')).toBeNull()
    await withBrowser({ width: phone.width, height: phone.height, scripts: false }, async (driver) => {
      const page = pageOf(driver)
      await page.go(`${demo.url}/d/front-page`)
      await page.sees(/Kept bees a year longer[\s\S]*Maud P\./)
    })
  })
  test('/healthz tells that the database answers and jobs run', async () => {
    const answer = await fetch(`${demo.url}/healthz`)
    expect([answer.status, await answer.json()]).toEqual([
      200,
      {
        status: 'ok',
        database: true,
        storage: 'ok',
        jobs: true,
        running: 0,
        stuck: [],
        faults: 0,
        heldMs: expect.any(Number),
        version: '0.1.0',
      },
    ])
  })
})

test('the form works without scripts: a mistake keeps what was typed, and a script in every field is only text', async () => {
  const script = '<script>document.title="owned"</script>'
  await withBrowser({ width: phone.width, height: phone.height, scripts: false }, async (driver) => {
    const page = pageOf(driver)
    await page.go(formUrl())
    await page.click('input[name=rating][value="4"] + span')
    for (const field of ['title', 'body', 'author_name', 'order_number'])
      await page.type(`[name=${field}]`, script)
    await page.type('[name=author_email]', 'not-a-mailbox')
    await page.click('input[name=consent]')
    await page.press('Send my review')
    await page.sees('One thing to fix. Everything you typed is still here.')
    for (const field of ['title', 'body', 'author_name', 'order_number'])
      expect(await (await page.find(`[name=${field}]`)).getAttribute('value')).toBe(script)
    expect(await (await page.find('input[name=consent]')).isSelected()).toBe(true)
    expect(await (await page.find('input[name=rating][value="4"]')).isSelected()).toBe(true)
    await (await page.find('[name=author_email]')).clear()
    await page.type('[name=author_email]', 'sam@post.example')
    await page.press('Send my review')
    await page.sees('Thank you')
    await page.sees('Something in it looked like advertising')
  })
  const mara = await signIn(owner)
  const review = await firstReview('wrenfield', mara, 'spam')
  const html = await (await fetch(demo.url + review, { headers: { Cookie: mara } })).text()
  expect(html).toContain('&lt;script&gt;document.title=')
  expect(html).toContain('Skipped the anti-robot check')
  expect(html).not.toContain('<script>document.title=')
})

test('killed in the middle of a hundred submissions: all that was acknowledged is there, and sent again none is doubled', async () => {
  const words = (i: number) => `Number ${i} of a hundred`
  const stamps = await Promise.all(Array.from({ length: 100 }, () => token()))
  const sendAll = () =>
    Promise.all(stamps.map((stamp, i) => send({ token: stamp, body: words(i) }).catch(() => null)))
  const kept = async (): Promise<string[]> => {
    const db = await openDatabase(path.join(demo.dataFolder, 'elogio.db'))
    const bodies: string[] = await db('review_version').where('body', 'like', '% of a hundred').pluck('body')
    await db.destroy()
    return bodies
  }
  let acknowledged = 0
  const first = await Promise.all(
    stamps.map(async (stamp, i) => {
      const answer = await send({ token: stamp, body: words(i) }).catch(() => null)
      if (answer?.status === 201 && ++acknowledged === 50) await demo.kill()
      return answer?.status === 201 ? words(i) : null
    }),
  )
  const there = await kept()
  expect(acknowledged).toBeGreaterThanOrEqual(50)
  expect(first.filter((body) => body !== null && !there.includes(body))).toEqual([])
  await demo.restart()
  expect((await sendAll()).every((answer) => answer?.status === 201)).toBe(true)
  expect((await kept()).sort()).toEqual(stamps.map((_, i) => words(i)).sort())
  expect((await fetch(`${demo.url}/d/front-page.json`)).status).toBe(200)
})

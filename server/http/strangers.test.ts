import { createServer, type Server } from 'node:http'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { startListener, type Listening } from '../../tests/support/listener'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { longestWait, TRIED_AGAIN } from '../../tests/support/longestWait'
import { formToken, variedSentence } from '../../tests/support/submissions'
import { verifyLogs } from '../moderation/verifyLogs'
import { makeLive } from '../publishing/draft'
import { eventually } from '../../tests/support/eventually'

/** A site on the internet that answers whatever a test wants. */
let site: Server
let page = { html: '', css: '' }
let siteHost = ''
let app: Listening
let mara: SignedIn
beforeAll(async () => {
  site = createServer((req, res) => {
    const isSheet = req.url!.endsWith('.css')
    res.writeHead(200, { 'Content-Type': isSheet ? 'text/css' : 'text/html' })
    res.end(isSheet ? page.css : page.html)
  })
  await new Promise<void>((resolve) => site.listen(0, resolve))
  const address = site.address()
  siteHost = `localhost:${typeof address === 'object' && address ? address.port : 0}`
  app = await startListener({ TRUST_PROXY: '1', ELOGIO_ALLOW_HOSTS: siteHost })
  await app.services.db('shop').update({ site_url: `http://${siteHost}/` })
  await makeLive(app.services, app.shop, app.member, 'wrenfield-page')
  mara = await signedIn(app, app.member)
  await eventually(async () => expect((await get('/d/wrenfield-page.json')).status).toBe(200))
})
afterAll(async () => {
  site.close()
  await app.stop()
})

const get: SignedIn['get'] = (path) => mara.get(path)
const post: SignedIn['post'] = (...sent) => mara.post(...sent)

const nested = (n: number) => '<div>'.repeat(n)
test.each<[string, { html: string; css?: string }]>([
  ['20,000 nested elements', { html: nested(20_000) }],
  ['1.9 MB of nested elements', { html: nested(380_000) }],
  ['paragraphs that are never closed', { html: '<p>'.repeat(600_000) }],
  ['nested media queries', { html: '<link rel=stylesheet href=a.css>', css: '@media x{'.repeat(100_000) }],
  [
    'properties that name each other',
    {
      html: '<link rel=stylesheet href=a.css>',
      css: `:root{${Array.from({ length: 9 }, (_, i) => `--a${i}:${`var(--a${i + 1})`.repeat(30)}`).join(';')}}a{color:var(--a0)}`,
    },
  ],
  ['brackets', { html: `<style>a{b:${'('.repeat(500_000)}`, css: '' }],
  [
    'nested data',
    { html: `<script type="application/ld+json">${'['.repeat(900_000)}${']'.repeat(900_000)}</script>` },
  ],
  ['one long word', { html: 'a'.repeat(1_900_000) }],
])(
  'a page of %s is read at set-up and seen in the editor, while visitors are answered',
  TRIED_AGAIN,
  async (_name, hostile) => {
    page = { css: '', ...hostile }
    const work = Promise.all([
      get(`/begin?site=${siteHost}`),
      get('/s/wrenfield/show/wrenfield-page/preview'),
    ])
    const visit = async () => expect((await get('/d/wrenfield-page.json')).status).toBe(200)
    expect(await longestWait(visit, work)).toBeLessThan(1000)
    expect((await work).map(({ status }) => status)).toEqual([200, 200])
  },
)

test('the editor shows pages of the shop’s own site under our name, and no others', async () => {
  const stage = async (address: string) =>
    (await get(`/s/wrenfield/show/wrenfield-page/preview?page=${encodeURIComponent(address)}`)).status
  page = { html: '<p>Mine</p>', css: '' }
  expect(await stage(`http://${siteHost}/hives`)).toBe(200)
  for (const address of [
    'https://evil.example/',
    'http://wrenfield.example.evil.example/',
    'file:///etc/passwd',
    'x',
  ])
    expect([address, await stage(address)]).toEqual([address, 403])
})

test('an invitation carries nothing that a stranger typed, and one email address gets four in a day in whatever spelling', async () => {
  const send = async (email: string, i: number) =>
    (
      await post(
        '/f/wrenfield',
        {
          token: await formToken(app.url, 'wrenfield'),
          rating: '5',
          title: 'Just right',
          body: variedSentence(i),
          author_name: 'lantern.example',
          author_email: email,
          consent: 'on',
        },
        { Accept: 'application/json' },
      )
    ).status
  const spellings = [
    'anna.berg@post.example',
    'annaberg@post.example',
    'A.n.n.aberg+x@post.example',
    'ANNABERG@post.example',
  ]
  for (let i = 0; i < 8; i++) expect(await send(spellings[i % 4]!, i)).toBe(201)
  await eventually(() => expect(app.mails.length).toBeGreaterThan(3))
  expect(app.mails).toHaveLength(4)
  for (const { subject, text, html, senderName } of app.mails) {
    const sent = [subject, text, html, senderName].join('\n')
    for (const words of ['lantern', 'Just right', ...Array.from({ length: 8 }, (_, i) => variedSentence(i))])
      expect(sent).not.toContain(words)
  }
  expect(app.mails[0]!.text).toMatch(/^Hello,/)
})

test('made-up pages from one client are few, and the shop’s own page is seen all the same', async () => {
  const tell = (told: string, from: string) =>
    post('/d/wrenfield-page/seen', told, { 'Content-Type': 'text/plain', 'X-Forwarded-For': from })
  for (let i = 0; i < 200; i++)
    expect((await tell(`https://junk${i}.example/`, '203.0.113.66')).status).toBe(204)
  await tell(`http://${siteHost}/hives?visitor=7`, '203.0.113.7')
  const pages = () => app.services.db('display_seen').pluck('page')
  await eventually(async () => expect(await pages()).toContain(`http://${siteHost}/hives`))
  expect((await pages()).length).toBeLessThanOrEqual(11)
})

test('with the clock set back everything that is acknowledged is kept', async () => {
  const { services, clock } = app
  clock.now = new Date(clock.now.getTime() - 86_400_000)
  const token = await formToken(app.url, 'wrenfield')
  const fields = {
    rating: '4',
    body: 'A day earlier',
    author_name: 'Sam Post',
    author_email: 'sam@clock.example',
  }
  const answer = await post('/f/wrenfield', { ...fields, token }, { Accept: 'application/json' })
  const { id } = (await answer.json()) as { id: string }
  expect(answer.status).toBe(201)
  const decided = await post(`/s/wrenfield/decide/${id}`, { act: '{"kind":"approve"}', revision: '1' })
  expect(decided.status).toBe(302)
  const review = await services.db('review').where({ public_id: id }).first<{ state: string }>('state')
  expect(review.state).toBe('approved')
  expect(await verifyLogs(services)).toEqual([
    { shop: 'wrenfield', check: expect.objectContaining({ holds: true }) },
  ])
  await eventually(() => expect(app.mails.map(({ recipient }) => recipient)).toContain('sam@clock.example'))
  clock.now = new Date(clock.now.getTime() + 86_400_000)
})

test('the log has a line for each request, and nothing personal or secret in it', async () => {
  await get('/r/a-secret-token?x=secret')
  await get('/confirm/a-secret-token')
  await eventually(() => expect(app.log.some(({ path }) => path === '/confirm/*')).toBe(true))
  const lines = app.log.filter(({ msg }) => msg === 'request')
  expect(lines.at(-1)).toMatchObject({
    time: expect.any(Number),
    method: 'GET',
    status: 404,
    ms: expect.any(Number),
    client: '127.0.0.0',
  })
  const text = JSON.stringify(app.log)
  for (const secret of [
    'a-secret-token',
    'x=secret',
    'post.example',
    'Mara-secret',
    'elogio_session',
    'Sam Post',
  ])
    expect(text).not.toContain(secret)
})

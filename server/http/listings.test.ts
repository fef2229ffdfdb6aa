import { createServer, type Server } from 'node:http'
import { afterAll, beforeAll, beforeEach, expect, test } from 'vitest'
import { buildListingSites, type ListingSites } from '../../standins/listings/listingSites'
import type { Fault } from '../../standins/listings/faults'
import { startListener, type Listening } from '../../tests/support/listener'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { addShop, allShowable } from '../../tests/support/shop'
import { eventually } from '../../tests/support/eventually'

/* Listings through the real listener and the real way out, with sites on a port of their own. */

let app: Listening
let server: Server
let sites: ListingSites
let mara: SignedIn
beforeAll(async () => {
  const port = await new Promise<number>((resolve) => {
    server = createServer((req, res) => {
      const { pathname, searchParams } = new URL(req.url ?? '/', 'http://localhost')
      const answer = sites.answer({
        method: req.method ?? 'GET',
        path: pathname,
        query: searchParams,
        headers: req.headers as Record<string, string>,
      })!
      res.writeHead(answer.reply.status, answer.reply.headers).end(answer.reply.body)
    }).listen(0, () => resolve((server.address() as { port: number }).port))
  })
  const host = `http://localhost:${port}`
  sites = buildListingSites(host, () => new Date('2026-11-25T12:00:00Z'))
  app = await startListener({
    ELOGIO_THROTTLE: 'off',
    ELOGIO_SITES: host,
    ELOGIO_ALLOW_HOSTS: `localhost:${port}`,
  })
  mara = await signedIn(app, app.member)
})
afterAll(async () => {
  server.closeAllConnections()
  server.close()
  await app.stop()
})
beforeEach(() => sites.faultsOf('lanternway').clear())

const text = async (path: string) => (await mara.get(path)).text()
const post: SignedIn['post'] = (...sent) => mara.post(...sent)
const connect = '/s/wrenfield/gather/connect'
const wrenfield = { intent: 'connect', site: 'lanternway', id: 'LW7Q4K2M9A' }

test.each<[Fault, RegExp]>([
  ['redirect', /sent Elogio to an address that isn(?:’|&#x27;|&#39;)t public/],
  ['huge', /sent far more than a page of reviews/],
  ['nonsense', /answered in a way that Elogio can(?:’|&#x27;|&#39;)t read/],
  ['half', /answered in a way that Elogio can(?:’|&#x27;|&#39;)t read/],
  ['signedOut', /wants somebody to sign in first/],
  ['tooMany', /has asked Elogio to slow down/],
])('a site that is %s is refused in plain words', async (fault, words) => {
  sites.faultsOf('lanternway').add(fault)
  expect(await text(`${connect}?site=lanternway&id=LW7Q4K2M9A`)).toMatch(words)
  expect((await post(connect, wrenfield)).status).toBe(422)
  // The site's wish to slow down is honoured.
  app.clock.now = new Date(app.clock.now.getTime() + 120_000)
})

test('scripts, long and turned names and a decimal comma are welcome, as text', async () => {
  for (const fault of ['scripts', 'longName', 'comma'] as const) sites.faultsOf('lanternway').add(fault)
  const card = await text(`${connect}?site=lanternway&id=LW7Q4K2M9A`)
  expect(card).toContain('4.7 from 122')
  expect(card).not.toContain('<script>document.title')
  const made = await post(connect, wrenfield)
  expect(made.status).toBe(302)
  await eventually(async () =>
    expect((await allShowable(app.services, app.shop)).length).toBeGreaterThan(110),
  )
  const page = await text(made.headers.get('Location')!)
  expect(page).not.toContain('<img src=x')
})

test('hostile columns of a sheet are refused, whatever the address', async () => {
  const sheet = `${new URL(app.services.origins[0]!.home).origin}/sheets/tasting-day.csv`
  const column = { heading: 'Your name', use: 'name', label: '', isShortened: false }
  const good = { columns: [column], scale: 5, isDayFirst: true, timeZone: 'UTC' }
  const statusOf = async (matching: string, id = sheet) =>
    (await post(connect, { intent: 'connect', site: 'page', id, matching })).status
  expect(await statusOf('not json')).toBe(400)
  expect(await statusOf('['.repeat(50_000))).toBe(400)
  expect(await statusOf(JSON.stringify({ ...good, columns: Array(61).fill(column) }))).toBe(400)
  expect(await statusOf(JSON.stringify({ ...good, scale: 1e300 }))).toBe(400)
  // Only a name: nothing would be shown.
  expect(await statusOf(JSON.stringify(good))).toBe(400)
  expect(await statusOf(JSON.stringify({ ...good, columns: [{ ...column, use: 'words', heading: '__proto__' }] }))).toBe(422) // oxfmt-ignore
  for (const id of [
    'javascript:alert(1)',
    'file:///etc/passwd',
    'http://127.0.0.1:1/',
    'http://a:b@localhost/',
    '%00',
  ])
    expect(await statusOf('', id), id).toBe(422)
  for (const fault of ['huge', 'redirect', 'nonsense', 'half'] as const) {
    sites.faultsOf('sheets').clear()
    sites.faultsOf('sheets').add(fault)
    expect(await statusOf('', `${sheet}?${fault}`), fault).toBe(422)
  }
  sites.faultsOf('sheets').clear()
})

test('no other shop reaches a listing, and an unknown one is not there', async () => {
  // A member of both shops, so that only the listing itself is refused.
  await addShop(app.services, 'saltmarsh', [app.member])
  const [row] = (await app.services.db('listing').select('public_id')) as { public_id: string }[]
  expect((await post(`/s/saltmarsh/gather/listings/${row!.public_id}`, { intent: 'stop' })).status).toBe(409)
  expect((await mara.get(`/s/saltmarsh/gather/listings/${row!.public_id}`)).status).toBe(404)
  expect(await app.services.db('listing').pluck('state')).toEqual(['active'])
  expect((await post('/s/wrenfield/gather/listings/nothing', { intent: 'stop' })).status).toBe(409)
  expect((await post('/s/wrenfield/gather/listings/nothing', { intent: 'explode' })).status).toBe(400)
})

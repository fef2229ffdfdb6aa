import { afterAll, beforeAll, expect, test } from 'vitest'
import { addMember, send } from '../../tests/support/shop'
import { startListener, type Listening } from '../../tests/support/listener'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { insertMembership } from '../data/shops'

/* What a helper of the shop can and can't do, through the real listener. */

let app: Listening
let helper: SignedIn
let review = ''
beforeAll(async () => {
  app = await startListener({ ELOGIO_THROTTLE: 'off' })
  const ada = await addMember(app.services, 'Ada')
  await insertMembership(app.services.db, ada.id, app.shop.id, 'helper')
  helper = await signedIn(app, ada)
  review = (await send(app.services, 'wrenfield')).publicId
})
afterAll(() => app.stop())

const get: SignedIn['get'] = (path) => helper.get(path)
const post: SignedIn['post'] = (...sent) => helper.post(...sent)

const shop = '/s/wrenfield'
const forbidden = [
  `${shop}/gather/orders`,
  `${shop}/gather/products`,
  `${shop}/gather/products/any`,
  `${shop}/settings/style`,
  `${shop}/settings/languages`,
  `${shop}/settings/jobs`,
  `${shop}/show`,
  `${shop}/show/new`,
  `${shop}/show/wrenfield-page`,
]

test.each(forbidden)('%s is for owners', async (path) => {
  const page = await get(path)
  expect(page.status).toBe(403)
  expect(await page.text()).toContain('Only an owner of the shop can do this')
})

test('the reviews with their email addresses are for owners to download', async () => {
  expect((await get(`${shop}/decide/download?lane=waiting`)).status).toBe(403)
  expect(await (await get(`${shop}/decide?lane=waiting`)).text()).not.toContain('decide/download')
})

test.each<[string, Record<string, string>]>([
  ['/gather', { form: 'any', writers: 'anyone' }],
  ['/gather/orders', { upload: 'abcdefgh12', name: 'orders.csv' }],
  ['/gather/orders/piece?upload=abcdefgh12&at=0', {}],
  ['/gather/products', { intent: 'add', title: 'Smoker' }],
  ['/settings?index', { name: 'Mine now' }],
  ['/settings/style', { brand: '#000000' }],
  ['/settings/languages', { languages: 'de' }],
  ['/settings/jobs', { intent: 'cancel', job: '1' }],
  ['/show/new', { layout: 'list' }],
  ['/show/manage', { intent: 'remove', key: 'wrenfield-page' }],
  ['/show/wrenfield-page', { intent: 'publish' }],
])('a form sent to %s changes nothing', async (path, fields) => {
  const { db } = app.services
  const state = async () => [
    await db('shop').first('name', 'brand', 'languages'),
    await db('display').select('removed_at', 'live_version_id'),
    (await db('job').select('kind')).length,
    await db('product').pluck('title'),
  ]
  const before = await state()
  expect((await post(`${shop}${path}`, fields)).status).toBe(403)
  expect(await state()).toEqual(before)
})

test('she decides, replies, adds reviews and changes her own settings', async () => {
  for (const path of [
    '/gather',
    `/decide/${review}?lane=waiting`,
    '/gather/write',
    '/settings/account',
    '/settings/email',
  ])
    expect([path, (await get(`${shop}${path}`)).status]).toEqual([path, 200])
  expect((await get(`${shop}/settings`)).headers.get('Location')).toBe(`${shop}/settings/account`)
  const gather = await (await get(`${shop}/gather`)).text()
  for (const path of ['gather/orders', 'gather/products', '/show'])
    expect(gather).not.toContain(`href="${shop}/${path}`)
  const decided = await post(`${shop}/decide/${review}?lane=waiting`, {
    act: '{"kind":"approve"}',
    revision: '1',
  })
  expect(decided.status).toBeLessThan(400)
  expect(await app.services.db('review').where({ public_id: review }).first('state')).toEqual({
    state: 'approved',
  })
})

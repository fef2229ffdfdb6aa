import { afterAll, beforeAll, expect, test } from 'vitest'
import { startingDesign } from '../../core/form/startingDesign'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { reviewFilterSchema } from '../../core/moderation/reviewFilter'
import { seededRandom } from '../../tests/fuzz/random'
import { hostileValues } from '../../tests/support/hostileValues'
import { startListener, type Listening } from '../../tests/support/listener'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { send } from '../../tests/support/shop'

/* What a member who is signed in can send: every field of every act, one at a time, with what no page would send. */

let app: Listening
let mara: SignedIn
const names = { review: '', product: '', form: '' }

beforeAll(async () => {
  app = await startListener({ ELOGIO_THROTTLE: 'off' })
  mara = await signedIn(app, app.member)
  const { db } = app.services
  names.review = (await send(app.services, 'wrenfield')).publicId
  names.product = (await db('product').first<{ public_id: string }>('public_id')).public_id
  names.form = (await db('form').first<{ public_id: string }>('public_id')).public_id
})
afterAll(() => app.stop())

type Act = [path: string, fields: Record<string, string>]
const act = (fields: object) => JSON.stringify(fields)
const theme = JSON.stringify(startingConfiguration.theme)
/** Each act with fields that are right. */
const named = (path: string, all: Record<string, string>[]): Act[] => all.map((fields) => [path, fields])
const acts = (): Act[] => {
  const review = `/decide/${names.review}`
  return [
    [review, { act: act({ kind: 'tag', tag: 'course' }), revision: '1' }],
    ...['decline', 'move', 'tag', 'untag', 'reply', 'hidePhoto', 'vouch'].map((kind): Act => [
      review,
      { act: act({ kind }), revision: '1' },
    ]),
    ['/decide/undo', { passing: '1,2', review: names.review, number: '1' }],
    ['/decide/undo', { passing: '1,2' }],
    ['/decide/attack', { group: '1', holds: 'yes' }],
    ['/decide/many', { act: act({ kind: 'approve' }), ids: `${names.review}:1`, at: '2026-11-25T12:00:00Z' }],
    ['/decide/views', { name: 'Mine', query: 'rating=1' }],
    ['/decide/views', { forget: 'none' }],
    [`${review}/aside`, { what: 'note', text: 'Hello' }],
    [`${review}/aside`, { what: 'alt', photo: 'none', text: 'Hello' }],
    [`${review}/ask`, { address: 'sam@post.example' }],
    [`${review}/remove`, {}],
    [`${review}/correct`, { revision: '1' }],
    [
      '/gather/write',
      {
        ...{ rating: '5', title: 'Good', body: 'Good indeed', author_name: 'Sam', written_at: '2026-11-01' },
        ...{ role: 'Baker', company: 'Oven', company_url: 'oven.example', seen_url: 'https://a.example/1' },
        ...{ seen_public: 'on', product: 'HK-2', relationship: 'customer', note: 'By phone', tags: 'course' },
        ...{ consent: 'on', waiting: '', others: '[]' },
      },
    ],
    ['/gather/products', { intent: 'add', title: 'Smoker', sku: 'SM-1', url: 'https://w.example/smoker' }],
    ['/gather/products', { intent: 'undo', change: 'none' }],
    [
      `/gather/products/${names.product}`,
      { intent: 'edit', title: 'Hive', sku: 'HV-1', url: '', picture: '' },
    ],
    [`/gather/products/${names.product}`, { intent: 'merge', into: 'none' }],
    [`/gather/products/${names.product}`, { intent: 'writers', writers: 'anyone' }],
    ['/gather/connect', { intent: 'connect', site: 'lanternway', id: 'none', kind: 'post', matching: '' }],
    ['/gather/connect', { intent: 'tryKey', site: 'lanternway', id: 'none', accessKey: 'key', tag: 'a' }],
    ['/gather/listings/none', { intent: 'disconnect', accessKey: '', arrivesAs: 'waiting' }],
    ['/gather/orders', { upload: 'abcdefgh12', name: 'orders.csv' }],
    ['/gather/forms/new', { start: 'none' }],
    ...named(`/gather/forms/${names.form}`, [
      { intent: 'rename', name: 'Form' },
      { intent: 'address', address: 'tell-us' },
      { intent: 'picture', picture: '' },
      { intent: 'settings', lastDay: '2027-01-01', arrivesAs: 'waiting', tag: 'course' },
      { intent: 'writers', writers: 'anyone' },
      { intent: 'save', draft: JSON.stringify(startingDesign) },
    ]),
    ['/settings?index', { name: 'Wrenfield', short_name: 'W', description: 'Bees', site_url: 'w.example' }],
    [
      '/settings/style',
      { brand: '#a07020', background: '#ffffff', textColour: '#222222', fonts: 'serif', corners: '4' },
    ],
    ['/settings/languages', { locale: 'en', languages: 'de', customer_languages: 'de', time_zone: 'UTC' }],
    ['/settings/email', { preference: 'each', digest_hour: '8' }],
    ['/settings/account', { present: 'Mara', password: 'x' }],
    ...['one', 'sender', 'again'].map((intent): Act => ['/settings/learning', { intent, review: 'none' }]),
    ['/settings/jobs', { intent: 'again', id: '1' }],
    ['/show/new', { layout: 'list' }],
    ...['copy', 'down', 'restoreDisplay'].map((intent): Act => [
      '/show/manage',
      { intent, key: 'wrenfield-page', live: 'no' },
    ]),
    ['/show/scratch/page', { code: '<p>', background: 'dark' }],
    ...named('/show/wrenfield-page', [
      { intent: 'back', version: '1' },
      { intent: 'rename', name: 'Front' },
      { intent: 'address', address: 'front' },
      { intent: 'picture', picture: '', tab: 'a' },
      { intent: 'saveLook', name: 'Mine', theme },
      { intent: 'removeLook', look: 'none' },
      { intent: 'startLike', theme },
      { intent: 'copied', measures: '[]' },
      { intent: 'save', configuration: JSON.stringify(startingConfiguration), tab: 'a', base: 'b' },
    ]),
  ]
}

/** Pages with what their addresses may ask for. */
const pages = (): [path: string, parts: string[]][] => [
  ['/decide', [...Object.keys(reviewFilterSchema.shape), 'show', 'list']],
  [`/decide/${names.review}`, Object.keys(reviewFilterSchema.shape)],
  ['/decide/download', Object.keys(reviewFilterSchema.shape)],
  ['/gather/understand', ['text']],
  ['/gather/connect', ['q', 'id', 'kind', 'site']],
  [`/gather/forms/${names.form}/card`, ['product']],
  [`/gather/forms/${names.form}/page`, ['product', 'of', 'lang']],
  ['/show/wrenfield-page', ['product', 'with']],
  ['/show/wrenfield-page/preview', ['page']],
  ['/show/scratch', ['key']],
]
/** Pages that name a thing. */
const things = [
  ...[
    '/decide/',
    '/gather/products/',
    '/gather/forms/',
    '/gather/listings/',
    '/show/',
    '/decide/x/evidence/',
  ],
  ...['/../f/', '/../r/', '/../confirm/', '/../d/', '/../how/'],
]

interface Attempt {
  said: string
  send: () => Promise<Response>
}
const shopPath = (path: string) => `/s/wrenfield${path}`

/** Each field of each act, and each part of each address, with each of the values. */
const attempts = (): Attempt[] => [
  ...acts().flatMap(([path, fields]) =>
    Object.keys(fields).flatMap((field) =>
      hostileValues.map(([name, value]) => ({
        said: `${path} ${fields.intent ?? ''} with ${field}: ${name}`,
        send: () => mara.post(shopPath(path.replace(/(?=\?|$)/, '.data')), { ...fields, [field]: value }),
      })),
    ),
  ),
  ...pages().flatMap(([path, parts]) =>
    parts.flatMap((part) =>
      hostileValues.map(([name, value]) => ({
        said: `${path} asked with ${part}: ${name}`,
        send: () =>
          mara.get(`${shopPath(path)}.data?${new URLSearchParams({ [part]: value.slice(0, 4000) })}`),
      })),
    ),
  ),
  ...things.flatMap((path) =>
    hostileValues.map(([name, value]) => ({
      said: `${path} of: ${name}`,
      send: () => mara.get(shopPath(path) + encodeURIComponent(value.slice(0, 2000).replace('\ud83d', '%'))),
    })),
  ),
]

/** What stood in the fields is on these. */
const openedAfterwards = () => [
  ...[
    ...['/decide', `/decide/${names.review}`, '/gather', '/gather/products', '/gather/orders'],
    ...[
      `/gather/products/${names.product}`,
      `/gather/forms/${names.form}`,
      `/gather/forms/${names.form}/page`,
    ],
    ...['/settings', '/settings/style', '/settings/learning', '/settings/languages', '/settings/jobs'],
    ...['/settings/email', '/settings/problems', '/show', '/show/wrenfield-page'],
  ].map(shopPath),
  '/how/wrenfield',
]

const DRAWN = 400

test('whatever a member sends or asks for is answered, in time, and every page still opens', async () => {
  const random = seededRandom(20_261_130)
  const all = attempts()
  const faulty: string[] = []
  let left = DRAWN
  const worker = async () => {
    while (left-- > 0) {
      const { said, send } = random.pick(all)
      const begun = performance.now()
      const { status } = await send()
      const took = performance.now() - begun
      if (status >= 500 || took > 5000) faulty.push(`${said}: ${status} after ${Math.round(took)} ms`)
    }
  }
  await Promise.all([worker(), worker(), worker(), worker()])
  expect(faulty).toEqual([])
  for (const path of openedAfterwards()) {
    const { status } = await fetch(app.url + path, { headers: { Cookie: mara.cookie } })
    expect([path, status]).toEqual([path, 200])
  }
  const { faults } = (await (await mara.get('/healthz')).json()) as { faults: number }
  expect(faults).toBe(0)
})

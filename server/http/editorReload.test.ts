import { afterAll, beforeAll, expect, test } from 'vitest'
import { brought } from '../../tests/support/brought'
import { addMember } from '../../tests/support/shop'
import { startListener, type Listening } from '../../tests/support/listener'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { plainAct } from '../../core/moderation/reviewAct'
import { receive } from '../collection/receive'
import { findReview } from '../data/reviewReading'
import { decide } from '../moderation/decide'
import { insertMembership } from '../data/shops'
import { saveDraft } from '../publishing/draft'

/* The editor loads what a saved change has changed, and nothing else. */

let app: Listening
let mara: SignedIn
beforeAll(async () => {
  app = await startListener({ ELOGIO_THROTTLE: 'off' })
  const { member: actor, services, shop } = app
  const candidates = Array.from({ length: 30 }, (_, i) => brought(`K-${i}`, { title: `Frame ${i}` }))
  await receive(services, shop, { actor, intake: null, candidates })
  mara = await signedIn(app, { name: 'Mara', email: 'mara@elogio.example' })
})
afterAll(() => app.stop())

interface Reload {
  changed: Record<string, unknown>
  marks: Record<string, string>
}
const address = '/s/wrenfield/show/wrenfield-page/changed'
const reload = async (headers: Record<string, string> = {}): Promise<Reload & { bytes: number }> => {
  const text = await (await mara.get(address, headers)).text()
  return { ...(JSON.parse(text) as Reload), bytes: text.length }
}
const since = ({ marks }: Reload) => reload({ 'X-Marks': JSON.stringify(marks) })

test('a browser that has everything gets nothing again', async () => {
  const all = await reload()
  expect(Object.keys(all.changed)).toEqual(Object.keys(all.marks))
  const again = await since(all)
  expect(again.changed).toEqual({})
  expect(again.marks).toEqual(all.marks)
})

test('after a changed title come the draft and its preview alone', async () => {
  const before = await reload()
  await saveDraft(
    app.services,
    app.shop,
    'wrenfield-page',
    { ...startingConfiguration, title: 'What keepers say' },
    { tab: 'a', base: null },
  )
  const after = await since(before)
  expect(after.changed.draft).toMatchObject({ title: 'What keepers say' })
  expect(JSON.stringify(after.changed.preview)).toContain('What keepers say')
  expect(Object.keys(after.changed)).toEqual(['draft', 'preview'])
  expect(after.bytes).toBeLessThan(20_000)
  // Together they are what a whole load gives.
  const whole = await reload()
  expect({ ...before.changed, ...after.changed }).toEqual(whole.changed)
})

test('the reviews to choose from are computed again when one of them changes, or what is chosen', async () => {
  const { db } = app.services
  const ids = (parts: Record<string, unknown>) =>
    (parts.picked as { publicId: string }[]).map((one) => one.publicId)
  const before = await reload()
  const [publicId] = ids(before.changed) as [string]
  expect((await since(before)).marks).toEqual(before.marks)
  const { revision } = (await findReview(db, app.shop.id, { publicId }))!
  await decide(app.services, app.shop, app.member, publicId, plainAct('decline'), revision)
  const declined = await since(before)
  expect(ids({ ...before.changed, ...declined.changed })).not.toContain(publicId)

  const selection = { ...startingConfiguration.selection, limit: 3 }
  await saveDraft(app.services, app.shop, 'wrenfield-page', { ...startingConfiguration, selection })
  const fewer = await since(declined)
  expect(ids(fewer.changed)).toHaveLength(3)
  const whole = await reload()
  expect({ ...before.changed, ...declined.changed, ...fewer.changed }).toEqual(whole.changed)
})

test('marks that nobody gave are none', async () => {
  const whole = Object.keys((await reload()).changed)
  for (const marks of [
    '',
    '{',
    '[]',
    '"x"',
    '{"draft":1}',
    `{"draft":"${'x'.repeat(4000)}"}`,
    '{"__proto__":"x"}',
  ])
    expect(Object.keys((await reload({ 'X-Marks': marks })).changed)).toEqual(whole)
})

test('it is for those who may edit displays', async () => {
  const ada = await addMember(app.services, 'Ada')
  await insertMembership(app.services.db, ada.id, app.shop.id, 'helper')
  expect((await (await signedIn(app, ada)).get(address)).status).toBe(403)
  expect((await fetch(app.url + address, { redirect: 'manual' })).status).toBe(302)
  expect((await mara.get('/s/wrenfield/show/nobodys/changed')).status).toBe(404)
})

import { beforeEach, expect, test } from 'vitest'
import { addMember, addShop, send, testServices, nowhere, type TestMember } from '../../tests/support/shop'
import type { Mail } from '../data/mails'
import type { Shop } from '../data/shops'
import { jobKinds } from '../jobKinds'
import { startJobRunner } from '../jobs/runner'
import type { Services } from '../services'
import { mailSettings, saveNotifications, tryMail } from './mailSettings'
import { nextDigest } from './notifyMembers'

let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
let sent: Pick<Mail, 'recipient' | 'subject' | 'text'>[]
beforeEach(async () => {
  sent = []
  ;({ services, clock } = await testServices({
    mailer: {
      through: 'post.example',
      from: 'reviews@elogio.example',
      send: async (mail) => void sent.push(mail),
    },
  }))
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})
/** What came for the owner, once everything due is out. */
async function forMara() {
  const runner = startJobRunner(services, jobKinds(services, nowhere))
  await runner.drain()
  await runner.drain()
  await runner.stop()
  return sent.filter(({ recipient }) => recipient === mara.email)
}
const later = (hours: number) => {
  clock.now = new Date(clock.now.getTime() + hours * 3_600_000)
}

test('once a day, from the start: what came since the last time and what needs her, and nothing where nothing came', async () => {
  await send(services, 'wrenfield')
  await send(services, 'wrenfield', {
    author_email: 'anna@berg.example',
    body: 'The lid closes with one finger.',
  })
  expect(await forMara()).toEqual([])
  later(21)
  const [digest, ...more] = await forMara()
  expect([digest!.subject, more]).toEqual(['2 new reviews of wrenfield', []])
  expect(digest!.text).toContain('2 need you.')
  later(24)
  expect(await forMara()).toHaveLength(1)
  await send(services, 'wrenfield', {
    author_email: 'tom@hale.example',
    body: 'Rather heavy, and very well made.',
  })
  later(24)
  expect((await forMara()).map(({ subject }) => subject)).toEqual([
    '2 new reviews of wrenfield',
    'One new review of wrenfield',
  ])
})

test('each one, or only what is held back', async () => {
  await saveNotifications(services, shop, mara, { preference: 'held', digestHour: 7 })
  await send(services, 'wrenfield')
  expect(await forMara()).toEqual([])
  await send(services, 'wrenfield', {
    author_email: 'a@b.example',
    body: 'It came to 12 Old Mill Lane at last.',
  })
  expect((await forMara()).map(({ subject }) => subject)).toEqual([
    'Held back: a review of wrenfield by Piotr Lis',
  ])
  await saveNotifications(services, shop, mara, { preference: 'each', digestHour: 7 })
  await send(services, 'wrenfield', { author_email: 'c@d.example', body: 'Nicer than my old one by far.' })
  expect((await forMara()).at(-1)!.subject).toBe('New review of wrenfield by Piotr Lis')
  expect(await services.db('job').where({ kind: 'digest' })).toEqual([])
})

test('spam tells nobody', async () => {
  await saveNotifications(services, shop, mara, { preference: 'each', digestHour: 7 })
  await send(services, 'wrenfield', {
    body: 'Free casino bonus at spins.example, message me, earn cash today',
  })
  expect(await forMara()).toEqual([])
})

test('a trial goes to the member, and the settings say how mails went', async () => {
  expect(await tryMail(services, shop, mara)).toBe(true)
  expect((await forMara())[0]!.subject).toBe('Test email from Elogio')
  expect(await mailSettings(services, shop, mara)).toMatchObject({
    out: { through: 'post.example', from: 'reviews@elogio.example' },
    counts: { sent: 1, waiting: 0, refused: 0 },
    preference: 'digest',
    digestHour: 8,
  })
})

test('the hour is one of the shop’s own time zone, in summer as in winter', () => {
  expect(nextDigest(new Date('2026-07-01T05:00:00Z'), 'Europe/London', 8)).toBe('2026-07-01T07:00:00.000Z')
  expect(nextDigest(new Date('2026-12-01T08:00:00Z'), 'Europe/London', 8)).toBe('2026-12-02T08:00:00.000Z')
  expect(nextDigest(new Date('2026-12-01T12:00:00Z'), 'Pacific/Auckland', 8)).toBe('2026-12-01T19:00:00.000Z')
})

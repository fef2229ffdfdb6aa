import { beforeEach, expect, test } from 'vitest'
import { addMember, addShop, drainJobs, send, testServices, type TestMember } from '../../tests/support/shop'
import type { Mail } from '../data/mails'
import type { Shop } from '../data/shops'
import { reviewView } from '../moderation/reviewView'
import type { Services } from '../services'
import { askToRemove } from './askToRemove'
import { confirmEmail } from './confirmation'
import { changeOwn, ownReview } from './ownReview'

let services: Services
let shop: Shop
let mara: TestMember
let sent: Pick<Mail, 'recipient' | 'subject' | 'text' | 'html'>[]
beforeEach(async () => {
  sent = []
  ;({ services } = await testServices({
    mailer: {
      through: 'post.example',
      from: 'reviews@elogio.example',
      send: async (mail) => void sent.push(mail),
    },
  }))
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})

const phone = 'The kit is square and solid, ring me on 07700 900123 if you want to see it'
const post = () => drainJobs(services)
const last = () => sent.at(-1)!
const history = async (publicId: string) =>
  (await reviewView(services, shop, publicId))!.history.map(({ act }) => act)

test('an unconfirmed writer is asked once for each version, confirms, and changes her review', async () => {
  const { publicId } = await send(services, 'wrenfield', { body: phone })
  await post()
  expect(await askToRemove(services, shop, mara, publicId)).toBe('asked')
  await post()
  expect([last().recipient, last().subject]).toEqual([
    'piotr@lis.example',
    'Please remove personal data from your review of wrenfield',
  ])
  for (const body of [last().text, last().html]) expect(body).not.toMatch(/07700|square/)
  expect(await askToRemove(services, shop, mara, publicId)).toBe('already')
  expect(await history(publicId)).toContain('askToRemove')

  const own = (await confirmEmail(services, /\/confirm\/(\S+)/.exec(last().text)![1]!))!
  const change = { rating: 5, title: '', author_name: 'Piotr Lis', media: [] }
  expect(await changeOwn(services, own, { ...change, body: `${phone} or at 12 Old Mill Lane` })).toBe(true)
  expect(await askToRemove(services, shop, mara, publicId)).toBe('asked')
  await post()
  const link = /\/r\/(\S+)/.exec(last().text)![1]!
  expect((await ownReview(services, link))!.review.publicId).toBe(publicId)
})

test('German writers read German, and nobody is asked where nobody can be', async () => {
  const { publicId } = await send(services, 'wrenfield', {
    body: 'Die Kiste kam am Dienstag und passte auf Anhieb, mehr unter 0171 5550123, wir sind sehr zufrieden damit.',
  })
  await askToRemove(services, shop, mara, publicId)
  await post()
  expect(last().subject).toBe('Bitte entfernen Sie persönliche Angaben aus Ihrer Bewertung zu wrenfield')
  expect(await askToRemove(services, shop, mara, 'made-up')).toBe('gone')
})

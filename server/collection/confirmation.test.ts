import { beforeEach, describe, expect, test } from 'vitest'
import { phonePhoto } from '../../tests/support/pictures'
import {
  allShowable,
  addMember,
  addShop,
  send,
  testServices,
  nowhere,
  type TestMember,
} from '../../tests/support/shop'
import { manualEntrySchema } from '../../core/intake/manualEntry'
import { plainAct } from '../../core/moderation/reviewAct'
import { findFormBySlug } from '../data/forms'
import type { Mail } from '../data/mails'
import { approvedTally, undecidedCount, unconfirmedCount } from '../data/reviewCounts'
import { findReview, proofOfReview, signalsOfVersion } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { jobKinds } from '../jobKinds'
import { startJobRunner } from '../jobs/runner'
import { MailRefused } from '../mail/mailer'
import { storePendingPhoto, type StoredPhoto } from '../media/pendingPhotos'
import { checksOf } from '../health/checks'
import { decide } from '../moderation/decide'
import { reviewView } from '../moderation/reviewView'
import { reviewPolicy } from '../publishing/reviewPolicy'
import type { Services } from '../services'
import { countRows } from '../data/countRows'
import { askCustomerToConfirm, confirmEmail, confirmView } from './confirmation'
import { writeDown } from './writeDown'
import { changeOwn, consentOwn, ownReview, withdrawOwn } from './ownReview'
import { setWriters } from './gather'

type Sent = Pick<Mail, 'messageId' | 'recipient' | 'subject' | 'text' | 'html'>
let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
let sent: Sent[]
let refuse: ((mail: Sent) => void) | null
beforeEach(async () => {
  sent = []
  refuse = null
  ;({ services, clock } = await testServices({
    mailer: {
      through: 'post.example',
      from: 'reviews@elogio.example',
      send: async (mail) => {
        refuse?.(mail)
        sent.push(mail)
      },
    },
  }))
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})
const found = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
const kindsOf = async (publicId: string) =>
  (await signalsOfVersion(services.db, shop.id, (await found(publicId)).versionId)).map(({ kind }) => kind)
async function post() {
  const runner = startJobRunner(services, jobKinds(services, nowhere))
  await runner.drain()
  await runner.stop()
}
async function askFor(writers: 'anyone' | 'confirmed' | 'buyers') {
  const { public_id } = await services
    .db('form')
    .where({ slug: shop.slug })
    .first<{ public_id: string }>('public_id')
  expect(await setWriters(services, shop, public_id, writers)).toBe(true)
}
const linkOf = (mail: Sent) => /\/confirm\/(\S+)/.exec(mail.text)![1]!
/** Sends a review, has its email posted and answers what came. */
async function written(given: Parameters<typeof send>[2] = {}) {
  const receipt = await send(services, 'wrenfield', given)
  await post()
  return { ...receipt, link: sent.length > 0 ? linkOf(sent.at(-1)!) : '' }
}

describe('the mail that asks to confirm', () => {
  test('goes to the writer in her language, once, and carries none of her words', async () => {
    const { confirm } = await written({
      body: '<b>Die Kiste</b> kam am Dienstag und passte auf Anhieb, wir sind sehr zufrieden damit.',
    })
    expect(confirm).toBe(true)
    expect(sent).toHaveLength(1)
    const [mail] = sent
    expect([mail!.recipient, mail!.subject]).toEqual([
      'piotr@lis.example',
      'Ist das Ihre Bewertung zu wrenfield?',
    ])
    expect(mail!.text).toContain('Guten Tag Piotr Lis,')
    for (const body of [mail!.text, mail!.html]) expect(body).not.toMatch(/Kiste|zufrieden/)
    await post()
    expect(sent).toHaveLength(1)
  })
  test('does not go out for spam, nor a fifth time in a day to one email address', async () => {
    await written({ body: 'Free casino bonus at spins.example, message me, earn cash today' })
    expect(sent).toEqual([])
    for (let i = 0; i < 6; i++)
      await written({
        author_email: `${['Piotr', 'p.iotr', 'P.I.O.T.R'][i % 3]}+${i}@lis.example`,
        body: `Number ${i} came in good order and stands on the shelf.`,
      })
    expect(sent).toHaveLength(4)
  })
  test('does not go out when a stranger types hundreds of addresses in an hour, and the shop sees why', async () => {
    await written()
    const mail = await services.db('mail').orderBy('id').first<{ id?: number }>()
    const { ...copy } = mail!
    delete copy.id
    await services.db.batchInsert(
      'mail',
      Array.from({ length: 299 }, (_, i) => ({ ...copy, message_id: `<${i}@a.example>`, state: 'sent' })),
      50,
    )
    const other = { author_email: 'tom@hale.example', body: 'It stands on the shelf and looks well.' }
    await written(other)
    expect(sent).toHaveLength(1)
    const email = async () => (await checksOf(services, shop)).find(({ about }) => about === 'email')
    expect(await email()).toMatchObject({ state: 'wrong', text: 'problems.emailMany' })
    clock.now = new Date(clock.now.getTime() + 3_700_000)
    expect(await email()).toMatchObject({ state: 'good' })
    await written({ author_email: 'ida@hale.example', body: 'A good lid, and it came soon.' })
    expect(sent).toHaveLength(2)
  })
  test('is tried again under the same Message-ID, and given up where the email address is refused', async () => {
    refuse = () => {
      throw new MailRefused('not now', false)
    }
    await written()
    const mail = () =>
      services.db('mail').first<{ state: string; attempts: number; error: string; message_id: string }>()
    const first = await mail()
    expect([first.state, first.attempts, first.error]).toEqual(['waiting', 1, 'not now'])
    refuse = null
    clock.now = new Date(clock.now.getTime() + 10_000)
    await post()
    expect([sent.length, sent[0]!.messageId]).toEqual([1, first.message_id])
    refuse = () => {
      throw new MailRefused('no such mailbox', true)
    }
    await written({ author_email: 'anna@berg.example' })
    expect(
      await services.db('mail').where({ recipient: 'anna@berg.example' }).first('state', 'error'),
    ).toEqual({
      state: 'refused',
      error: 'no such mailbox',
    })
    expect(await services.db('job').where({ kind: 'sendMail' })).toEqual([])
  })
})

describe('confirming', () => {
  test('opening the link does nothing; pressing the button does, and proves the purchase of that email address', async () => {
    const { publicId, link } = await written({ product: 'HK-2', author_name: 'Somebody' })
    for (let i = 0; i < 3; i++) expect((await confirmView(services, link))!.confirmed).toBe(false)
    expect((await found(publicId)).verified).toBe(false)
    expect(await confirmEmail(services, link)).not.toBeNull()
    const review = await found(publicId)
    expect([review.verified, review.confirmedAt !== null]).toEqual([true, true])
    expect(await proofOfReview(services.db, shop.id, review.id)).toMatchObject({
      method: 'mailbox',
      orderNumber: 'WB-2091',
    })
  })
  test('pressing the button a hundred times leads to one page and stores one token for it', async () => {
    const { publicId, link } = await written()
    const pages = new Set<string | null>()
    for (let i = 0; i < 100; i++) pages.add(await confirmEmail(services, link))
    expect([...pages]).toEqual([expect.any(String)])
    expect(
      await countRows(
        services.db('token').where({ review_id: (await found(publicId)).id, purpose: 'review' }),
      ),
    ).toBe(1)
  })
  test('an email address confirmed once confirms no other review that somebody types it into', async () => {
    const first = await written({ author_name: 'Somebody' })
    await confirmEmail(services, first.link)
    const second = await send(services, 'wrenfield', {
      author_name: 'A rival',
      body: 'I bought it and it broke at once.',
    })
    expect((await found(second.publicId)).verified).toBe(false)
  })
  test('what was held for want of it goes on, and was no work for anybody meanwhile', async () => {
    await askFor('confirmed')
    const { publicId, state, link } = await written()
    expect([state, await kindsOf(publicId)]).toEqual(['held', ['unconfirmed']])
    expect([
      await undecidedCount(services.db, shop.id),
      await unconfirmedCount(services.db, shop.id),
    ]).toEqual([0, 1])
    await confirmEmail(services, link)
    expect([(await found(publicId)).state, await kindsOf(publicId)]).toEqual(['waiting', []])
    expect([
      await undecidedCount(services.db, shop.id),
      await unconfirmedCount(services.db, shop.id),
    ]).toEqual([1, 0])
  })
  test('what a person decided meanwhile stays', async () => {
    await askFor('confirmed')
    const { publicId, link } = await written()
    await decide(services, shop, mara, publicId, plainAct('decline'), 1)
    await confirmEmail(services, link)
    expect((await found(publicId)).state).toBe('declined')
  })
  test('what else holds it still holds it', async () => {
    await askFor('confirmed')
    const { publicId, link } = await written({ body: 'The lid came late, I live at 12 Old Mill Lane' })
    expect(await unconfirmedCount(services.db, shop.id)).toBe(0)
    await confirmEmail(services, link)
    expect([(await found(publicId)).state, await kindsOf(publicId)]).toEqual(['held', ['personal']])
  })
  test('only verified buyers: the email address of an order goes on, another stays held with its reason', async () => {
    await askFor('buyers')
    const buyer = await written({ author_name: 'P' })
    await confirmEmail(services, buyer.link)
    expect((await found(buyer.publicId)).state).toBe('waiting')
    const other = await written({ author_email: 'anna@berg.example', body: 'I have seen it at a friend’s.' })
    await confirmEmail(services, other.link)
    expect([(await found(other.publicId)).state, await kindsOf(other.publicId)]).toEqual([
      'held',
      ['unverified'],
    ])
  })
  test('a link that has run out, or is none, opens nothing', async () => {
    const { link } = await written()
    expect(await confirmView(services, `${link}x`)).toBeNull()
    clock.now = new Date(clock.now.getTime() + 31 * 86_400_000)
    expect(await confirmView(services, link)).toBeNull()
    expect(await confirmEmail(services, link)).toBeNull()
  })
})

describe('the customer’s own page', () => {
  const change = {
    rating: 2,
    title: '',
    body: 'After a month the lid has warped.',
    author_name: 'Piotr Lis',
    media: [],
  }
  async function approved() {
    const { publicId, link } = await written()
    const own = (await confirmEmail(services, link))!
    await decide(services, shop, mara, publicId, plainAct('approve'), (await found(publicId)).revision)
    return { publicId, own }
  }
  const shown = async () => (await allShowable(services, shop)).map(({ body, rating }) => [body, rating])

  test('a change waits, what stood before stays public, and the shop sees both', async () => {
    const { publicId, own } = await approved()
    expect(await changeOwn(services, own, change)).toBe(true)
    const review = await found(publicId)
    expect([review.state, review.body, review.rating]).toEqual(['waiting', change.body, 200])
    expect(await shown()).toEqual([['Cut true and easy to put together.', 400]])
    expect((await reviewPolicy(services, 'wrenfield'))!.averaged).toMatchObject({ count: 1, average: 400 })
    expect((await reviewView(services, shop, publicId))!.published).toMatchObject({ rating: 400 })
    expect((await ownReview(services, own))!.published).toMatchObject({ rating: 400 })
    await decide(services, shop, mara, publicId, plainAct('approve'), review.revision)
    expect(await shown()).toEqual([[change.body, 200]])
    expect((await ownReview(services, own))!.published).toBeNull()
  })
  test('a change is weighed as an arrival is, and the same words are none', async () => {
    const { publicId, own } = await approved()
    await changeOwn(services, own, { ...change, body: 'The lid came late to 12 Old Mill Lane' })
    expect([(await found(publicId)).state, await kindsOf(publicId)]).toEqual(['held', ['personal']])
    expect(await changeOwn(services, own, { ...change, body: 'The lid came late to 12 Old Mill Lane' })).toBe(
      false,
    )
  })
  test('a change is compared with the reviews of others, but not with what it was', async () => {
    const copied =
      'These hives have changed the way our whole village thinks about honey, and about bees, for good.'
    await send(services, 'wrenfield', { body: copied, author_email: 'first@village.example' })
    const { publicId, own } = await approved()
    await changeOwn(services, own, { ...change, body: copied })
    expect(await kindsOf(publicId)).toContain('nearcopy')
    await changeOwn(services, own, { ...change, body: 'Cut true and easy to put together, still.' })
    expect(await kindsOf(publicId)).not.toContain('nearcopy')
  })
  test('in a change the descriptions of photos are read too', async () => {
    const form = (await findFormBySlug(services.db, 'wrenfield'))!
    const key = ((await storePendingPhoto(services, form, await phonePhoto(31, 31), '')) as StoredPhoto).key
    const { publicId, own } = await approved()
    const media = [{ key, alt: 'Ring me on +44 20 7946 0018' }]
    expect(await changeOwn(services, own, { ...change, media })).toBe(true)
    expect(await kindsOf(publicId)).toContain('personal')
  })
  test('a change that is checked while she withdraws the review changes nothing', async () => {
    const { publicId, own } = await approved()
    const { run } = services.workers
    services.workers.run = async (...task) => {
      if (task[0] === 'weighArrival') await withdrawOwn(services, own, true)
      return run(...task)
    }
    expect(await changeOwn(services, own, change)).toBe(false)
    services.workers.run = run
    expect([(await found(publicId)).state, (await found(publicId)).rating]).toEqual(['withdrawn', 400])
  })
  test('a change can leave a photo out and bring one; until it is decided visitors see what they saw', async () => {
    const form = (await findFormBySlug(services.db, 'wrenfield'))!
    const stage = async (side: number) =>
      ((await storePendingPhoto(services, form, await phonePhoto(side, side), '')) as StoredPhoto).key
    const media = [
      { key: await stage(31), alt: 'one' },
      { key: await stage(32), alt: 'two' },
    ]
    const { publicId, link } = await written({ media })
    const own = (await confirmEmail(services, link))!
    await decide(services, shop, mara, publicId, plainAct('approve'), (await found(publicId)).revision)
    const [, second] = (await ownReview(services, own))!.photos
    const changed = [
      { key: second!.publicId, alt: '' },
      { key: await stage(33), alt: 'three' },
    ]
    expect(await changeOwn(services, own, { ...change, media: changed })).toBe(true)
    const alts = async () => (await allShowable(services, shop))[0]!.photos.map(({ alt }) => alt)
    expect(await alts()).toEqual(['one', 'two'])
    await decide(services, shop, mara, publicId, plainAct('approve'), (await found(publicId)).revision)
    expect(await alts()).toEqual(['two', 'three'])
  })
  test('taken back it is nowhere, and put back it waits', async () => {
    const { publicId, own } = await approved()
    await withdrawOwn(services, own, true)
    expect([(await found(publicId)).state, await shown()]).toEqual(['withdrawn', []])
    expect(await changeOwn(services, own, change)).toBe(false)
    await withdrawOwn(services, own, false)
    expect((await found(publicId)).state).toBe('waiting')
  })
  test('without consent visitors read it no more; with it they do again', async () => {
    const { own } = await approved()
    await consentOwn(services, own, false)
    expect(await shown()).toEqual([])
    await consentOwn(services, own, true)
    expect(await shown()).toHaveLength(1)
  })
  test('all of it is in the log, under nobody’s name', async () => {
    const { publicId, own } = await approved()
    await changeOwn(services, own, change)
    await withdrawOwn(services, own, true)
    const { history } = (await reviewView(services, shop, publicId))!
    expect(history.map(({ act, memberName }) => [act, memberName])).toEqual([
      ['arrive', null],
      ['confirm', null],
      ['approve', 'Mara'],
      ['change', null],
      ['takeBack', null],
    ])
  })
  test('a link to confirm opens no own page, and another’s none', async () => {
    const { link } = await written()
    expect(await ownReview(services, link)).toBeNull()
  })
})

describe('what the shop wrote down', () => {
  const schema = manualEntrySchema(['HK-2'], '2026-11-25')
  test('becomes the customer’s own with one button, counts, and can be proved', async () => {
    const { publicId } = await writeDown(
      services,
      shop,
      mara,
      schema.parse({
        body: 'The kit is a joy.',
        rating: '5',
        author_name: 'P. Lis',
        product: 'HK-2',
        consent: 'on',
      }),
    )
    expect((await approvedTally(services.db, shop.id)).count).toBe(0)
    expect(await askCustomerToConfirm(services, shop, mara, publicId, 'nobody')).toBe('noAddress')
    expect(await askCustomerToConfirm(services, shop, mara, publicId, 'piotr@lis.example')).toBe('asked')
    await post()
    expect(sent[0]!.subject).toBe('wrenfield wrote down what you said. Is it right?')
    await confirmEmail(services, linkOf(sent[0]!))
    expect([(await found(publicId)).verified, (await approvedTally(services.db, shop.id)).count]).toEqual([
      true,
      1,
    ])
    expect((await allShowable(services, shop))[0]).toMatchObject({ source: 'form', verified: true })
    expect(await askCustomerToConfirm(services, shop, mara, publicId, 'piotr@lis.example')).toBe('gone')
  })
  test('of a customer’s own review nobody is asked', async () => {
    const { publicId } = await send(services, 'wrenfield')
    expect(await askCustomerToConfirm(services, shop, mara, publicId, 'piotr@lis.example')).toBe('gone')
  })
})

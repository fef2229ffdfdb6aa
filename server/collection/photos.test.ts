import { beforeEach, describe, expect, test } from 'vitest'
import {
  allShowable,
  addMember,
  addShop,
  send,
  testServices,
  type TestMember,
} from '../../tests/support/shop'
import { phonePhoto } from '../../tests/support/pictures'
import { plainAct, type ReviewAct } from '../../core/moderation/reviewAct'
import { findFormBySlug, type Form } from '../data/forms'
import { findReview, signalsOfVersion } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { storePendingPhoto, type StoredPhoto } from '../media/pendingPhotos'
import { savePhotoDescription } from '../moderation/notesAndDrafts'
import { decide } from '../moderation/decide'
import { reviewView } from '../moderation/reviewView'
import { undo } from '../moderation/undo'
import { importOrderText } from '../../tests/support/orders'
import { makeLive } from '../publishing/draft'
import { REBUILD } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { hasLostPhotos, openForm } from './customerForm'

let services: Services
let shop: Shop
let other: Shop
let form: Form
let mara: TestMember
beforeEach(async () => {
  ;({ services } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
  other = await addShop(services, 'saltmarsh', [])
  form = (await findFormBySlug(services.db, 'wrenfield'))!
})

const bought = { order_number: 'WB-2091', product: 'HK-2' }
const stage = async (side = 50) =>
  (await storePendingPhoto(services, form, await phonePhoto(side, side + 10), '')) as StoredPhoto
const refs = async (count: number) =>
  Promise.all(
    Array.from({ length: count }, async (_, i) => ({ key: (await stage(40 + i)).key, alt: `Side ${i}` })),
  )
const found = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
const act = async (publicId: string, chosen: ReviewAct) =>
  decide(services, shop, mara, publicId, chosen, (await found(publicId)).revision)
const kindsOf = async (publicId: string) =>
  (await signalsOfVersion(services.db, shop.id, (await found(publicId)).versionId)).map(({ kind }) => kind)
const shownAlts = async () =>
  (await allShowable(services, shop)).map(({ photos }) => photos.map(({ alt }) => alt))

describe('on the way in', () => {
  test('photos come with their review in their order, and no longer wait', async () => {
    const media = await refs(3)
    const { publicId } = await send(services, 'wrenfield', { ...bought, media })
    const { photos } = (await reviewView(services, shop, publicId))!
    expect(photos.map(({ alt, width, height }) => [alt, width, height])).toEqual([
      ['Side 0', 50, 40],
      ['Side 1', 51, 41],
      ['Side 2', 52, 42],
    ])
    expect(await services.db('pending_photo').pluck('key')).toEqual([])
  })
  test('from somebody who is not a verified buyer they are held, and only they', async () => {
    const stranger = { author_name: 'Somebody', author_email: 'some@body.example' }
    const withPhoto = await send(services, 'wrenfield', { ...stranger, media: await refs(1) })
    expect([withPhoto.state, await kindsOf(withPhoto.publicId)]).toEqual(['held', ['media']])
    const without = await send(services, 'wrenfield', { ...stranger, body: 'The lid fits well.' })
    expect([without.state, await kindsOf(without.publicId)]).toEqual(['waiting', []])
    const buyer = await send(services, 'wrenfield', { ...bought, media: await refs(1), body: 'Came whole.' })
    expect([buyer.state, await kindsOf(buyer.publicId)]).toEqual(['waiting', []])
  })
  test('what they are said to show is weighed like the words, and marked nowhere in them', async () => {
    const media = [{ key: (await stage()).key, alt: 'Cheap pills at pillbarn dot example, message me' }]
    const { publicId, state } = await send(services, 'wrenfield', { ...bought, media, body: 'Came whole.' })
    expect([state, await kindsOf(publicId)]).toEqual([
      expect.stringMatching(/held|spam/),
      expect.arrayContaining(['link', 'contact']),
    ])
    const { versionId } = (await found(publicId))!
    const signals = await signalsOfVersion(services.db, shop.id, versionId)
    expect(signals.flatMap(({ places }) => places)).toEqual([])
    expect(signals.find(({ kind }) => kind === 'link')!.detail).toContain('pillbarn+dot+example')
  })
  test('once orders prove the purchase they go on', async () => {
    const { publicId } = await send(services, 'wrenfield', {
      author_name: 'Ada Moor',
      order_number: 'WB-9000',
      media: await refs(1),
    })
    expect((await found(publicId)).state).toBe('held')
    const csv =
      'number,email,name,product_sku,placed_at,delivered_at,status\nWB-9000,,Ada Moor,HK-2,2026-10-01,2026-10-04,delivered'
    await importOrderText(services, shop, csv)
    expect([(await found(publicId)).state, await kindsOf(publicId)]).toEqual(['waiting', []])
  })
  test('a member’s word takes the reason away, and undo brings it back; where it stands is hers to say', async () => {
    const stranger = { author_name: 'Somebody', author_email: 'some@body.example' }
    const { publicId } = await send(services, 'wrenfield', { ...stranger, media: await refs(1) })
    await act(publicId, { kind: 'vouch', reason: 'I know her' })
    expect([(await found(publicId)).state, await kindsOf(publicId)]).toEqual(['held', []])
    await undo(services, shop, mara)
    expect([(await found(publicId)).state, await kindsOf(publicId)]).toEqual(['held', ['media']])
  })
  test('a photo of another shop’s form, or one that is gone, is missed before anything is kept', async () => {
    const [ref] = await refs(1)
    const elsewhere = (await openForm(services, other.slug))!
    const given = { rating: 4, title: '', body: '', author_name: 'A', author_email: 'a@b.example' }
    const sent = { ...given, order_number: '', product: '', consent: true, token: undefined, website: '' }
    expect(await hasLostPhotos(services, elsewhere, { ...sent, media: [ref!] })).toBe(true)
    const own = (await openForm(services, shop.slug))!
    expect(await hasLostPhotos(services, own, { ...sent, media: [ref!] })).toBe(false)
    expect(await hasLostPhotos(services, own, { ...sent, media: [{ key: 'gone', alt: '' }] })).toBe(true)
  })
})

describe('decided on alone', () => {
  const approved = async () => {
    const { publicId } = await send(services, 'wrenfield', { ...bought, media: await refs(2) })
    await act(publicId, plainAct('approve'))
    return publicId
  }
  const photosOf = async (publicId: string) => (await reviewView(services, shop, publicId))!.photos

  test('one is hidden from visitors while the words and the other stay; undo brings it back', async () => {
    const publicId = await approved()
    const [first] = await photosOf(publicId)
    expect(await shownAlts()).toEqual([['Side 0', 'Side 1']])
    await act(publicId, { kind: 'hidePhoto', photo: first!.publicId })
    expect(await shownAlts()).toEqual([['Side 1']])
    expect((await found(publicId)).state).toBe('approved')
    await undo(services, shop, mara)
    expect(await shownAlts()).toEqual([['Side 0', 'Side 1']])
    const { history } = (await reviewView(services, shop, publicId))!
    expect(history.map((entry) => entry.act)).toEqual(['arrive', 'approve', 'hidePhoto', 'undo'])
  })
  test('what visitors read is rendered anew, and nothing is when it was so already', async () => {
    const publicId = await approved()
    const [first] = await photosOf(publicId)
    await makeLive(services, shop, mara, 'wrenfield-page')
    await services.db('job').delete()
    expect((await act(publicId, { kind: 'showPhoto', photo: first!.publicId })).outcome).not.toBe('done')
    expect(await services.db('job').pluck('kind')).toEqual([])
    await act(publicId, { kind: 'hidePhoto', photo: first!.publicId })
    expect(await services.db('job').pluck('kind')).toEqual([REBUILD])
  })
  test('a photo of another review is none of this one', async () => {
    const publicId = await approved()
    const second = await send(services, 'wrenfield', { body: 'Dry wood.', media: await refs(1) })
    const [foreign] = await photosOf(second.publicId)
    await act(publicId, { kind: 'hidePhoto', photo: foreign!.publicId })
    expect((await photosOf(second.publicId))[0]!.declined).toBe(false)
    expect(await savePhotoDescription(services, shop, publicId, foreign!.publicId, 'mine')).toBe(false)
    expect(await savePhotoDescription(services, other, second.publicId, foreign!.publicId, 'mine')).toBe(
      false,
    )
  })
  test('what it shows can be said by the shop, and visitors who can’t see it are told so', async () => {
    const publicId = await approved()
    const [first] = await photosOf(publicId)
    expect(await savePhotoDescription(services, shop, publicId, first!.publicId, 'A hive in the snow')).toBe(
      true,
    )
    expect(await shownAlts()).toEqual([['A hive in the snow', 'Side 1']])
  })
})

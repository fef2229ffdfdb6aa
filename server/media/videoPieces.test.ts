import { asMember } from '../../core/moderation/actor'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, utimesSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import sharp from 'sharp'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { addMember, addShop, allShowable, send, testServices } from '../../tests/support/shop'
import { film, webm } from '../../tests/support/videos'
import { plainAct } from '../../core/moderation/reviewAct'
import { findFormBySlug, type Form } from '../data/forms'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { decide } from '../moderation/decide'
import type { Services } from '../services'
import { storePendingPhoto } from './pendingPhotos'
import { sweepMedia } from './sweepMedia'
import { storeVideoPiece, sweepVideoPieces } from './videoPieces'

let services: Services
let clock: { now: Date }
let shop: Shop
let form: Form
let data: string
beforeEach(async () => {
  data = mkdtempSync(path.join(tmpdir(), 'elogio-videos-'))
  ;({ services, clock } = await testServices({ mediaFolder: path.join(data, 'media') }))
  shop = await addShop(services, 'wrenfield', [await addMember(services, 'Mara')])
  form = (await findFormBySlug(services.db, 'wrenfield'))!
})
afterEach(() => rmSync(data, { recursive: true }))

const picture = async (network = 'one') => {
  const bytes = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#e9b949' } })
    .jpeg()
    .toBuffer()
  const stored = await storePendingPhoto(services, form, bytes, network)
  if (!('key' in stored)) throw new Error(JSON.stringify(stored))
  return stored.key
}
const parts = () =>
  existsSync(path.join(data, 'incoming/videos')) ? readdirSync(path.join(data, 'incoming/videos')) : []
const piece = (key: string, at: number, bytes: Uint8Array, whole: number, network = 'one') =>
  storeVideoPiece(services, form, { key, at, whole, bytes }, network)
async function whole(video: Uint8Array, network = 'one'): Promise<Awaited<ReturnType<typeof piece>>> {
  return piece(await picture(network), 0, video, video.length, network)
}

test('a video in pieces goes on after a lost connection, and belongs to its picture', async () => {
  const video = film({ seconds: 20, data: 9000, place: 'Vienna' })
  const key = await picture()
  expect(await piece(key, 0, video.subarray(0, 4000), video.length)).toEqual({ size: 4000 })
  // The answer was lost, so the piece comes again; then one that begins too late.
  expect(await piece(key, 0, video.subarray(0, 4000), video.length)).toEqual({ size: 4000 })
  expect(await piece(key, 8000, video.subarray(8000), video.length)).toEqual({ size: 4000 })
  const done = await piece(key, 4000, video.subarray(4000), video.length)
  expect(done).toEqual({ video: expect.stringMatching(/^[0-9a-f]{32}\.mp4$/), seconds: 20 })
  expect(await piece(key, 4000, video.subarray(4000), video.length)).toEqual(done)
  expect(parts()).toEqual([])
  const kept = readFileSync(path.join(data, 'incoming/photos', (done as { video: string }).video))
  expect(kept.length).toBe(video.length)
  expect(kept.toString('latin1')).not.toContain('Vienna')

  const { publicId } = await send(services, 'wrenfield', { media: [{ key, alt: 'Bees at the door' }] })
  const { revision } = (await findReview(services.db, shop.id, { publicId }))!
  await decide(services, shop, asMember({ id: 1 }), publicId, plainAct('approve'), revision)
  expect((await allShowable(services, shop))[0]!.photos).toEqual([
    expect.objectContaining({ ...(done as object), alt: 'Bees at the door' }),
  ])
  clock.now = new Date(clock.now.getTime() + 30 * 86_400_000)
  await sweepMedia(services)
  expect(readdirSync(path.join(data, 'media'))).toContain((done as { video: string }).video)
})

test.each<[string, Uint8Array, object]>([
  ['a WebM', webm({ times: [0, 4000] }), { seconds: 4 }],
  ['of ten hours', film({ seconds: 36_000 }), { refused: 'long' }],
  ['cut off', film({ data: 5000 }).subarray(0, 2000), { refused: 'cut' }],
  ['a picture that is renamed', Uint8Array.from({ length: 900 }, (_, i) => i % 251), { refused: 'other' }],
])('%s is welcome, or refused with nothing left of it', async (_, video, outcome) => {
  expect(await whole(video)).toMatchObject(outcome)
  expect(parts()).toEqual([])
})

test('what lies about its size, or has no picture, is refused before it is stored', async () => {
  const key = await picture()
  expect(await piece(key, 0, new Uint8Array(10), 200_000_000)).toEqual({ refused: 'large' })
  expect(await piece(key, 0, new Uint8Array(100), 50)).toEqual({ refused: 'large' })
  expect(await piece('unknown', 0, new Uint8Array(10), 50)).toEqual({ missing: true })
  expect(
    await storeVideoPiece(
      services,
      { ...form, id: 99 },
      { key, at: 0, whole: 50, bytes: new Uint8Array(9) },
      'one',
    ),
  ).toEqual({ missing: true })
  expect(parts()).toEqual([])
})

test('videos whose forms are never sent fill the room of their network, and not that of others', async () => {
  for (let i = 0; i < 6; i++) expect(await whole(film())).toMatchObject({ seconds: 10 })
  expect(await whole(film())).toEqual({ full: 'network' })
  expect(await whole(film(), 'two')).toMatchObject({ seconds: 10 })
  // Sent with a review, they no longer count.
  const key = await picture()
  const { key: sent } = await services.db('pending_photo').whereNotNull('video').first<{ key: string }>('key')
  await services.db('pending_photo').where({ key: sent }).delete()
  expect(await piece(key, 0, film(), film().length)).toMatchObject({ seconds: 10 })
})

test('neither a form nor the disk is filled by many networks together', async () => {
  const room = async (network: string) => whole(film(), network)
  const row = { shop_id: shop.id, form_id: form.id, name: 'x', small: 'x', width: 1, height: 1 }
  const filler = { ...row, video: 'x.mp4', seconds: 1, uploaded_at: '', bytes: 1 }
  for (let i = 0; i < 30; i++)
    await services.db('pending_photo').insert({ ...filler, key: `filled${i}`, network: `n${i}` })
  expect(await room('two')).toEqual({ full: 'form' })
  await services.db('pending_photo').delete()
  services.diskReserve = 1
  await expect(room('two')).rejects.toThrow('disk')
})

test('the last piece sent eight times at once is one video', async () => {
  const video = film({ seconds: 20, data: 9000 })
  const key = await picture()
  await piece(key, 0, video.subarray(0, 4000), video.length)
  const answers = await Promise.all(
    Array.from({ length: 8 }, () => piece(key, 4000, video.subarray(4000), video.length)),
  )
  expect(new Set(answers.map((one) => JSON.stringify(one))).size).toBe(1)
  expect(answers[0]).toMatchObject({ seconds: 20 })
})

test('a shop has twenty unfinished videos at most, and none for longer than a day', async () => {
  for (let i = 0; i < 23; i++) await piece(await picture(`n${i}`), 0, new Uint8Array(10), 50, `n${i}`)
  expect(parts()).toHaveLength(20)
  clock.now = new Date()
  const before = new Date(clock.now.getTime() - 2 * 86_400_000)
  for (const name of parts().slice(0, 19))
    utimesSync(path.join(data, 'incoming/videos', name), before, before)
  expect(await sweepVideoPieces(services)).toBe(19)
  expect(parts()).toHaveLength(1)
})

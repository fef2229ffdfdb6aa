import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { addShop, send, testServices } from '../../tests/support/shop'
import { phonePhoto } from '../../tests/support/pictures'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { designSchema } from '../../core/form/design'
import { startingDesign } from '../../core/form/startingDesign'
import { publishForm, saveFormDraft, storeFormPicture } from '../collection/forms'
import { findFormBySlug, type Form } from '../data/forms'
import { insertDisplay } from '../data/displays'
import { findReview } from '../data/reviewReading'
import { photosOfVersion } from '../data/photos'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { storePicture } from './storePicture'
import { storePendingPhoto, type StoredPhoto } from './pendingPhotos'
import { sweepMedia } from './sweepMedia'

const DAY_MS = 86_400_000
let services: Services
let clock: { now: Date }
let shop: Shop
let form: Form
let folder: string
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'elogio-sweep-'))
  ;({ services, clock } = await testServices({ mediaFolder: path.join(folder, 'media') }))
  clock.now = new Date()
  shop = await addShop(services, 'wrenfield', [])
  form = (await findFormBySlug(services.db, 'wrenfield'))!
})
afterEach(() => rmSync(folder, { recursive: true }))

const filesIn = (name: string) => {
  const there = path.join(folder, name)
  return existsSync(there) ? readdirSync(there).sort() : []
}
const files = () => filesIn('media')
/** What nobody can fetch. */
const pending = () => filesIn('incoming/photos')
const later = (days: number) => (clock.now = new Date(clock.now.getTime() + days * DAY_MS))
const stored = async (side: number) =>
  (await storePendingPhoto(services, form, await phonePhoto(side, side), '')) as StoredPhoto

test('photos of a form that was never sent go after two days, not before', async () => {
  await stored(40)
  expect([pending().length, files()]).toEqual([2, []])
  later(1.9)
  expect([await sweepMedia(services), pending().length]).toEqual([0, 2])
  later(0.2)
  expect([await sweepMedia(services), pending()]).toEqual([2, []])
})

test('the picture of a form stays while its draft or any version of it has it', async () => {
  const picture = (await storeFormPicture(services, shop, await address(90)))!
  const draft = designSchema.parse({ schema: 1, picture: { name: picture } })
  await saveFormDraft(services, shop, form.publicId, draft)
  later(3)
  expect(await sweepMedia(services)).toBe(0)
  await publishForm(services, shop, form.publicId)
  await saveFormDraft(services, shop, form.publicId, startingDesign)
  await publishForm(services, shop, form.publicId)
  later(3)
  expect([await sweepMedia(services), files()]).toEqual([0, [picture]])
})

test('photos of a review stay for ever, with portraits and what any version of a display shows', async () => {
  const { key } = await stored(40)
  const { publicId } = await send(services, 'wrenfield', { media: [{ key, alt: 'A hive' }] })
  const shared = (await storePicture(services, shop.id, await address(90)))!
  await services.db.transaction((trx) =>
    insertDisplay(trx, {
      shopId: shop.id,
      publicId: services.newId(),
      key: 'wall',
      name: 'Wall',
      configuration: { ...startingConfiguration, picture: shared },
      now: clock.now.toISOString(),
    }),
  )
  const forgotten = (await storePicture(services, shop.id, await address(120)))!
  later(400)
  // One in the folder of pictures, and what came before the form.
  expect(await sweepMedia(services)).toBe(3)
  const { versionId } = (await findReview(services.db, shop.id, { publicId }))!
  const [photo] = await photosOfVersion(services.db, shop.id, versionId)
  expect(files()).toEqual([photo!.name, photo!.small, shared].sort())
  expect(files()).not.toContain(forgotten)
})

test('the same photo added once more is kept, though the first one was swept', async () => {
  await stored(40)
  later(3)
  await stored(40)
  expect(await sweepMedia(services)).toBe(0)
  expect(pending()).toHaveLength(2)
})

test('the same photo brought by many at once is one file, whole', async () => {
  const all = await Promise.all(Array.from({ length: 6 }, () => stored(40)))
  expect(new Set(all.map(({ shown }) => shown)).size).toBe(1)
  expect(pending()).toHaveLength(2)
})

test('what a crash left half written, and files that nobody noted, go after an hour', async () => {
  mkdirSync(path.join(folder, 'media'))
  const leftover = path.join(folder, 'media', `${'a'.repeat(32)}.webp.part`)
  writeFileSync(leftover, 'half')
  writeFileSync(path.join(folder, 'media', `${'b'.repeat(32)}.webp`), 'nobody’s')
  expect(await sweepMedia(services)).toBe(0)
  const old = new Date(clock.now.getTime() - 2 * 3_600_000)
  for (const name of files()) utimesSync(path.join(folder, 'media', name), old, old)
  expect([await sweepMedia(services), files()]).toEqual([2, []])
})

async function address(side: number): Promise<string> {
  return `data:image/jpeg;base64,${(await phonePhoto(side, side)).toString('base64')}`
}

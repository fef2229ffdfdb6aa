import { beforeEach, describe, expect, test } from 'vitest'
import { manualEntrySchema } from '../../core/intake/manualEntry'
import { plainAct } from '../../core/moderation/reviewAct'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { addMember, addShop, drainJobs, send, testServices, type TestMember } from '../../tests/support/shop'
import { readEvidence } from '../data/evidenceFiles'
import { verifyChain } from '../data/decisions'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { decide } from '../moderation/decide'
import { reviewView } from '../moderation/reviewView'
import { undo, undoFromLog } from '../moderation/undo'
import { composer } from '../publishing/compose'
import type { Services } from '../services'
import { askCustomerToConfirm, confirmEmail, confirmView } from './confirmation'
import { correctionView, correctReview } from './correctReview'
import { changeOwn } from './ownReview'
import { writeDown } from './writeDown'

let services: Services
let shop: Shop
let mara: TestMember
let sent: string[]
beforeEach(async () => {
  sent = []
  ;({ services } = await testServices({
    mailer: {
      through: 'post.example',
      from: 'reviews@elogio.example',
      send: async ({ text }) => void sent.push(text),
    },
  }))
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})

const schema = manualEntrySchema(['HK-2'], '2026-11-25')
const first = {
  rating: '4',
  body: 'Gone by noon.',
  author_name: 'Ana Berg',
  written_at: '2026-05-03',
  consent: 'on',
}
type Given = Record<string, string | undefined>
const write = (given: Given = {}, evidence: Parameters<typeof writeDown>[4] = []) =>
  writeDown(services, shop, mara, schema.parse({ ...first, ...given }), evidence)
const read = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
async function correct(
  publicId: string,
  given: Given,
  more: { revision?: number; kept?: string[]; files?: Parameters<typeof writeDown>[4] } = {},
) {
  const { revision } = await read(publicId)
  const entry = {
    ...schema.parse({ ...first, ...given }),
    keptEvidence: more.kept ?? [],
    newEvidence: (more.files ?? []).map((file) => ({ ...file, content: Buffer.from(file.content) })),
  }
  return correctReview(services, shop, mara, publicId, entry, more.revision ?? revision)
}
const shown = async () =>
  (await (await composer(services, shop)).compose(startingConfiguration, { key: 'front' })).model
    .quotations[0]

describe('a review that the shop added', () => {
  test('is corrected in every part, and visitors see it', async () => {
    const { publicId } = await write()
    const outcome = await correct(publicId, {
      rating: '4.5',
      title: 'Quick',
      body: 'Gone by noon, and they waved.',
      author_name: 'Anna Berg',
      role: 'baker',
      company: 'Berg Bakery',
      written_at: '2026-05-04',
      product: 'HK-2',
      seen_url: 'https://posts.example/7',
      seen_public: 'on',
      tags: 'delivery, Spring',
    })
    expect(outcome).toEqual({ outcome: 'done', state: 'approved', authorName: 'Anna Berg' })
    expect(await shown()).toMatchObject({
      name: 'Anna B.',
      rating: 450,
      title: 'Quick',
      besideName: [{ name: 'role', text: 'baker' }],
      company: { name: 'Berg Bakery' },
      written: '2026-05-04',
      product: 'Hive kit',
      original: { url: 'https://posts.example/7' },
    })
    const view = (await reviewView(services, shop, publicId))!
    expect(view.tags).toEqual(['delivery', 'Spring'])
    expect(view.history.map(({ act }) => act)).toEqual(['write', 'correct'])
    expect(await verifyChain(services.db, shop.id)).toMatchObject({ holds: true })
  })

  test('the link to the original is private unless the shop says otherwise', async () => {
    await write({ seen_url: 'https://posts.example/7' })
    expect(await shown()).toMatchObject({ original: null })
  })

  test('undo brings every part back', async () => {
    const { publicId } = await write({ tags: 'spring' })
    await correct(publicId, { body: 'Nothing of the kind.', rating: '1', consent: undefined, written_at: '' })
    expect(await shown()).toBeUndefined()
    await undo(services, shop, mara)
    expect(await shown()).toMatchObject({
      rating: 400,
      written: '2026-05-03',
      words: { head: ['Gone by noon.'] },
    })
    expect(await read(publicId)).toMatchObject({ body: 'Gone by noon.', rating: 400, showable: true })
    expect((await reviewView(services, shop, publicId))!.tags).toEqual(['spring'])
  })

  test('a correction that changes nothing adds no version', async () => {
    const { publicId } = await write()
    expect(await correct(publicId, {})).toEqual({ outcome: 'same' })
    expect((await reviewView(services, shop, publicId))!.history).toHaveLength(1)
  })

  test('a phone number in a correction holds it back, and the earlier version stays public', async () => {
    const { publicId } = await write()
    expect(await correct(publicId, { body: 'Ring me on 07700 900123.' })).toMatchObject({ state: 'held' })
    expect(await shown()).toMatchObject({ words: { head: ['Gone by noon.'] } })
    await correct(publicId, { body: 'It lasts.' })
    expect(await read(publicId)).toMatchObject({ state: 'approved' })
    expect(await shown()).toMatchObject({ words: { head: ['It lasts.'] } })
  })

  test('a member’s decision on it stays', async () => {
    const { publicId } = await write()
    await decide(services, shop, mara, publicId, plainAct('decline'), (await read(publicId)).revision)
    await correct(publicId, { body: 'Gone before noon.' })
    expect(await read(publicId)).toMatchObject({ state: 'declined', body: 'Gone before noon.' })
    expect(await shown()).toBeUndefined()
  })

  test('of two who correct it at once, the second is told', async () => {
    const { publicId } = await write()
    const { revision } = await read(publicId)
    await correct(publicId, { body: 'By one.' }, { revision })
    expect(await correct(publicId, { body: 'By two.' }, { revision })).toMatchObject({ outcome: 'conflict' })
    expect((await read(publicId)).body).toBe('By one.')
  })
})

describe('a request to confirm', () => {
  const ask = async (publicId: string) => {
    expect(await askCustomerToConfirm(services, shop, mara, publicId, 'anna@berg.example')).toBe('asked')
    await drainJobs(services)
    return /\/confirm\/(\S+)/.exec(sent.at(-1)!)![1]!
  }

  test('ends with a correction and with the undo of one', async () => {
    const { publicId } = await write()
    const link = await ask(publicId)
    expect(await correctionView(services, shop, publicId)).toMatchObject({ requested: true })
    await correct(publicId, { body: 'The best shop there is.' })
    expect(await confirmView(services, link)).toBeNull()
    expect(await confirmEmail(services, link)).toBeNull()
    expect(await correctionView(services, shop, publicId)).toMatchObject({ requested: false })
    const second = await ask(publicId)
    await undo(services, shop, mara)
    expect(await confirmView(services, second)).toBeNull()
  })

  test('once confirmed, text, rating and permission are the customer’s', async () => {
    const { publicId } = await write()
    await correct(publicId, { body: 'Gone well before noon.' })
    const { history } = (await reviewView(services, shop, publicId))!
    await confirmEmail(services, await ask(publicId))
    await correct(publicId, { body: 'Bad.', title: 'No', rating: '1', role: 'baker', consent: undefined })
    expect(await read(publicId)).toMatchObject({
      body: 'Gone well before noon.',
      title: '',
      rating: 400,
      role: 'baker',
      showable: true,
    })
    const reverted = await undoFromLog(services, shop, mara, publicId, history.at(-1)!.number)
    expect(reverted.outcome).toBe('confirmed')
  })

  test('a customer’s own change keeps what the shop corrected', async () => {
    const { publicId } = await write({ role: 'baker', written_at: '2026-05-03' })
    const own = (await confirmEmail(services, await ask(publicId)))!
    const changed = { rating: 5, title: '', body: 'Gone by ten.', author_name: 'Anna Berg', media: [] }
    expect(await changeOwn(services, own, changed)).toBe(true)
    const { revision } = await read(publicId)
    await decide(services, shop, mara, publicId, plainAct('approve'), revision)
    expect(await shown()).toMatchObject({
      besideName: [{ name: 'role', text: 'baker' }],
      written: '2026-05-03',
      words: { head: ['Gone by ten.'] },
    })
  })
})

test('customers’ reviews can’t be corrected', async () => {
  const { publicId } = await send(services, 'wrenfield', {})
  expect(await correctionView(services, shop, publicId)).toBeNull()
  expect(await correct(publicId, { body: 'Nothing but praise.' })).toEqual({ outcome: 'gone' })
  expect((await reviewView(services, shop, publicId))!.history).toHaveLength(1)
})

test('files of evidence are added, removed and restored, and belong to one shop', async () => {
  const file = { name: 'card.png', kind: 'png' as const, content: Buffer.from('a picture') }
  const { publicId } = await write({}, [file])
  const [kept] = (await reviewView(services, shop, publicId))!.evidence
  expect(await readEvidence(services.db, shop.id, publicId, kept!.publicId)).toMatchObject({
    name: 'card.png',
  })
  const other = await addShop(services, 'saltmarsh', [mara])
  expect(await readEvidence(services.db, other.id, publicId, kept!.publicId)).toBeUndefined()
  await correct(publicId, {}, { files: [{ ...file, name: 'chat.txt', kind: 'text' }] })
  const names = async () => (await reviewView(services, shop, publicId))!.evidence.map(({ name }) => name)
  expect(await names()).toEqual(['chat.txt'])
  expect(await readEvidence(services.db, shop.id, publicId, kept!.publicId)).toBeUndefined()
  await undo(services, shop, mara)
  expect(await names()).toEqual(['card.png'])
})

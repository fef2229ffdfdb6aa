import { beforeEach, describe, expect, test } from 'vitest'
import { productFieldsSchema, skuFromTitle } from '../../core/intake/productFields'
import { everything } from '../../core/curation/selection'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { plainAct } from '../../core/moderation/reviewAct'
import { addMember, addShop, drainJobs, send, testServices, type TestMember } from '../../tests/support/shop'
import { verifyChain } from '../data/decisions'
import { countProducts, productsWithoutReview, productWithSku, searchProducts } from '../data/products'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { upsertOrders } from '../data/orderWriting'
import { writing } from '../data/writing'
import { decide } from '../moderation/decide'
import { reviewView } from '../moderation/reviewView'
import { undo } from '../moderation/undo'
import { composer } from '../publishing/compose'
import type { Services } from '../services'
import { openForm, type CustomerForm } from './customerForm'
import {
  addProduct,
  editProduct,
  mergeProducts,
  retireProduct,
  undoProductChange,
  type ProductOutcome,
} from './products'
import { productsView } from './productViews'

let services: Services
let shop: Shop
let mara: TestMember
beforeEach(async () => {
  ;({ services } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})

const fields = (given: Record<string, string>) => productFieldsSchema.parse(given)
const done = (outcome: ProductOutcome) => {
  if (outcome.outcome !== 'done') throw new Error(outcome.outcome)
  return outcome.change
}
const add = async (given: Record<string, string>) =>
  done(await addProduct(services, shop, mara, fields(given)))
const offered = ({ products }: CustomerForm) => products.products.map(({ title }) => title)
const bySku = async (sku: string) => (await productWithSku(services.db, shop.id, sku))!
const reviewOf = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
const edit = async (sku: string, given: Record<string, string>) =>
  editProduct(services, shop, mara, (await bySku(sku)).publicId, fields(given))
const merge = async (sku: string, into: string) =>
  done(await mergeProducts(services, shop, mara, (await bySku(sku)).publicId, (await bySku(into)).publicId))
const undoChange = (change: string) => undoProductChange(services, shop, mara, change)
const approve = async (publicId: string) =>
  decide(services, shop, mara, publicId, plainAct('approve'), (await reviewOf(publicId)).revision)
const about = (...skus: string[]) => ({
  ...startingConfiguration,
  selection: { ...everything, products: { kind: 'chosen' as const, skus } },
})
const shownAbout = async (...skus: string[]) =>
  (await (await composer(services, shop)).compose(about(...skus), { key: 'k' })).model.quotations.map(
    ({ publicId }) => publicId,
  )

describe('adding', () => {
  test('a SKU comes from the name, and names that read alike get a number', () => {
    expect(skuFromTitle('Königinnen-Zeichenset, blau', 1)).toBe('KONIGINNEN-ZEICHENSET-BL')
    expect(skuFromTitle('Smoker!', 3)).toBe('SMOKER-3')
    expect(skuFromTitle('???', 1)).toBe('PRODUCT')
  })

  test('the form offers it at once, and undo removes it', async () => {
    const change = await add({ title: 'Nuc box', page_url: 'https://wrenfield.example/nuc' })
    expect(offered((await openForm(services, 'wrenfield'))!)).toContain('Nuc box')
    expect(await bySku('nuc-box')).toMatchObject({
      title: 'Nuc box',
      pageUrl: 'https://wrenfield.example/nuc',
    })
    expect(await undoChange(change)).toMatchObject({ outcome: 'done' })
    expect(await productWithSku(services.db, shop.id, 'NUC-BOX')).toBeUndefined()
  })

  test('undo refuses when a review is about it by now', async () => {
    const change = await add({ title: 'Nuc box' })
    const { publicId } = await send(services, 'wrenfield', { product: 'NUC-BOX' })
    expect(await undoChange(change)).toMatchObject({ outcome: 'used' })
    expect((await reviewOf(publicId)).productTitle).toBe('Nuc box')
  })

  test('a SKU that is taken in any case is refused with the name of its product', async () => {
    expect(await addProduct(services, shop, mara, fields({ title: 'Other', sku: 'hk-2' }))).toEqual({
      outcome: 'skuTaken',
      title: 'Hive kit',
    })
  })

  test.each([
    [{ title: '' }, 'title'],
    [{ title: 'x'.repeat(201) }, 'title'],
    [{ title: 'a', page_url: 'javascript:alert(1)' }, 'page_url'],
    [{ title: 'a', picture: 'https://elsewhere.example/a.png' }, 'picture'],
  ])('%o is refused', (given, field) => {
    expect(productFieldsSchema.safeParse(given).error?.issues[0]?.path).toEqual([field])
  })
})

describe('a new SKU', () => {
  test('the earlier one still leads to the product, in forms, displays and order files', async () => {
    const { publicId } = await send(services, 'wrenfield', { product: 'HK-2' })
    await approve(publicId)
    expect(await edit('HK-2', { title: 'Hive kit, large', sku: 'KIT-9' })).toMatchObject({ outcome: 'done' })
    expect(await shownAbout('HK-2')).toEqual([publicId])
    const later = await send(services, 'wrenfield', { product: 'HK-2', author_email: 'b@c.example' })
    expect((await reviewOf(later.publicId)).productTitle).toBe('Hive kit, large')
    expect(await (await composer(services, shop)).skuOf('hk-2')).toBe('KIT-9')
    const order = {
      row: 1,
      number: '7',
      email: '',
      name: 'Ann',
      productSku: 'HK-2',
      productTitle: '',
      placedAt: null,
      deliveredAt: null,
      status: 'delivered',
    }
    await writing(services.db, (trx) =>
      upsertOrders(trx, shop.id, [order], services.newId, services.now().toISOString()),
    )
    expect(await countProducts(services.db, shop.id)).toBe(1)
  })

  test('undo brings the earlier one back', async () => {
    const change = done(await edit('HK-2', { title: 'Kit', sku: 'KIT-9' }))
    await undoChange(change)
    expect(await bySku('HK-2')).toMatchObject({ sku: 'HK-2', title: 'Hive kit' })
  })
})

test('a retired product keeps its reviews and its own link, and the form no longer offers it', async () => {
  const { publicId } = await send(services, 'wrenfield', { product: 'HK-2' })
  await approve(publicId)
  const change = done(await retireProduct(services, shop, mara, (await bySku('HK-2')).publicId, true))
  const form = (await openForm(services, 'wrenfield'))!
  expect(offered(form)).toEqual([])
  expect(await form.findProduct('HK-2')).toMatchObject({ title: 'Hive kit' })
  expect(await shownAbout('HK-2')).toEqual([publicId])
  expect(await productsWithoutReview(services.db, shop.id, 10)).toEqual({ first: [], count: 0 })
  await undoChange(change)
  expect(offered((await openForm(services, 'wrenfield'))!)).toHaveLength(1)
})

describe('merging', () => {
  test('reviews, links, displays and orders go to the other product, and undo brings them back', async () => {
    await add({ title: 'Hive kit, old', sku: 'HK-OLD' })
    await add({ title: 'Hive kit, older', sku: 'HK-OLDER' })
    await merge('HK-OLDER', 'HK-OLD')
    const order = {
      row: 1,
      number: 'WB-1',
      email: 'ann@b.example',
      name: 'Ann Pell',
      productSku: 'HK-OLD',
      productTitle: '',
      placedAt: '2026-01-02',
      deliveredAt: '2026-01-04',
      status: 'delivered',
    }
    await writing(services.db, (trx) =>
      upsertOrders(trx, shop.id, [order], services.newId, services.now().toISOString()),
    )
    const old = await send(services, 'wrenfield', { product: 'HK-OLD', author_email: 'x@y.example' })
    const kit = await send(services, 'wrenfield', {
      product: 'HK-2',
      author_name: 'Ann Pell',
      author_email: 'ann@b.example',
      order_number: 'WB-1',
    })
    await approve(old.publicId)
    await approve(kit.publicId)
    expect((await reviewOf(kit.publicId)).proofFailure).toBe('otherProduct')

    const change = await merge('HK-OLD', 'HK-2')
    await drainJobs(services)
    expect((await reviewOf(old.publicId)).productTitle).toBe('Hive kit')
    expect((await reviewOf(kit.publicId)).verified).toBe(true)
    expect((await searchProducts(services.db, shop.id, { limit: 10 })).map(({ sku }) => sku)).toEqual([
      'HK-2',
    ])
    for (const sku of ['HK-OLD', 'HK-OLDER', 'hk-2'])
      expect((await shownAbout(sku)).toSorted()).toEqual([old.publicId, kit.publicId].toSorted())
    expect((await productsView(services, shop)).products).toMatchObject([{ sku: 'HK-2', approved: 2 }])
    // Undo in the queue does not touch it.
    expect((await undo(services, shop, mara)).outcome).toBe('done')
    expect((await reviewOf(old.publicId)).productTitle).toBe('Hive kit')

    expect(await undoChange(change)).toMatchObject({ outcome: 'done', title: 'Hive kit, old' })
    await drainJobs(services)
    expect((await reviewOf(old.publicId)).productTitle).toBe('Hive kit, old')
    expect((await reviewOf(kit.publicId)).productTitle).toBe('Hive kit')
    expect((await reviewOf(kit.publicId)).verified).toBe(false)
    expect(await bySku('HK-OLDER')).toMatchObject({ sku: 'HK-OLD' })
    const acts = (await reviewView(services, shop, old.publicId))!.history.map(({ act }) => act)
    expect(acts).toEqual(expect.arrayContaining(['merge', 'unmerge']))
    expect(await verifyChain(services.db, shop.id)).toMatchObject({ holds: true })
  })

  test('a later change of the same product comes first when undoing', async () => {
    await add({ title: 'Smoker', sku: 'SM-1' })
    const change = await merge('SM-1', 'HK-2')
    const later = done(await edit('HK-2', { title: 'Kit' }))
    expect(await undoChange(change)).toMatchObject({ outcome: 'overtaken' })
    await undoChange(later)
    expect(await undoChange(change)).toMatchObject({ outcome: 'done' })
  })

  test('a product can’t be merged into itself or into one of another shop', async () => {
    const other = await addShop(services, 'saltmarsh', [mara])
    const { publicId } = await bySku('HK-2')
    expect(await mergeProducts(services, shop, mara, publicId, publicId)).toEqual({ outcome: 'same' })
    const theirs = (await searchProducts(services.db, other.id, { limit: 1 }))[0]!
    expect(await mergeProducts(services, shop, mara, publicId, theirs.publicId)).toEqual({ outcome: 'gone' })
  })
})

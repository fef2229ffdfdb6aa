import { keysOf } from '../../core/formats/keysOf'
import type { Actor } from '../../core/moderation/actor'
import type { Knex } from 'knex'
import type { Writers } from '../../core/intake/writers'
import { skuFromTitle, type ProductForm } from '../../core/intake/productFields'
import { appendDecision } from '../data/decisions'
import {
  findProductChange,
  insertProductChange,
  isProductChangeOvertaken,
  markProductChangeUndone,
  type ProductChange,
  type ProductChangeKind,
} from '../data/productChanges'
import {
  clearMerged,
  deleteProduct,
  findProduct,
  insertProduct,
  isProductUsed,
  productsWithSkus,
  productWithSku,
  setMerged,
  setProductWriters as putProductWriters,
  setRetired,
  skuKey,
  updateProduct,
  type Product,
} from '../data/products'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import { enqueue } from '../jobs/queue'
import { storePicture } from '../media/storePicture'
import { markAllStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { MOVE_REVIEWS, type MoveReviews } from './moveReviewsJob'

export type ProductOutcome =
  | { outcome: 'done'; change: string; title: string; into: string }
  | { outcome: 'skuTaken'; title: string }
  | { outcome: 'gone' | 'same' }

/** Adds a product. Without a SKU it gets one from its name. */
export function addProduct(
  services: Services,
  shop: Shop,
  actor: Actor,
  form: ProductForm,
): Promise<ProductOutcome> {
  return changing(services, shop, actor, form, async (trx, picture) => {
    const sku = form.sku || (await freeSku(services, trx, shop, form.title))
    const other = await productWithSku(trx, shop.id, sku)
    if (other) return { outcome: 'skuTaken', title: other.title }
    const fields = { sku, title: form.title, picture: picture(null), pageUrl: form.page_url }
    const id = await insertProduct(trx, shop.id, services.newId(), fields)
    return { kind: 'add', product: { id, ...fields }, into: null }
  })
}

const MAX_SKU_TRIES = 100

/** A SKU made from a name that no product has. */
async function freeSku(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  title: string,
): Promise<string> {
  const tried = Array.from({ length: MAX_SKU_TRIES }, (_, i) => skuFromTitle(title, i + 1))
  const taken = await productsWithSkus(trx, shop.id, tried)
  return tried.find((sku) => !taken.has(skuKey(sku))) ?? skuFromTitle(title, services.now().getTime())
}

/** Changes a product. Links and embed codes with its earlier SKU go on working. */
export function editProduct(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  form: ProductForm,
): Promise<ProductOutcome> {
  return changing(services, shop, actor, form, async (trx, picture) => {
    const product = await findProduct(trx, shop.id, { publicId })
    if (!product) return { outcome: 'gone' }
    const fields = {
      sku: form.sku || product.sku,
      title: form.title,
      picture: picture(product.picture),
      pageUrl: form.page_url,
    }
    const other = await productWithSku(trx, shop.id, fields.sku)
    if (other && other.id !== product.id) return { outcome: 'skuTaken', title: other.title }
    if (keysOf(fields).every((part) => product[part] === fields[part])) return { outcome: 'same' }
    await updateProduct(trx, shop.id, product, fields)
    return { kind: 'edit', product, into: null }
  })
}

/** Forms no longer offer a retired product. Its reviews, links and displays stay. */
export function retireProduct(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  retired: boolean,
): Promise<ProductOutcome> {
  return changing(services, shop, actor, null, async (trx) => {
    const product = await findProduct(trx, shop.id, { publicId })
    if (!product) return { outcome: 'gone' }
    if (product.retired === retired) return { outcome: 'same' }
    await setRetired(trx, shop.id, product.id, retired)
    return { kind: retired ? 'retire' : 'offer', product, into: null }
  })
}

/** Sets who can write about a product, whatever the form says; null is what the form says. */
export const setProductWriters = (
  { db }: Services,
  shop: Shop,
  publicId: string,
  writers: Writers | null,
): Promise<boolean> => putProductWriters(db, shop.id, publicId, writers)

/** Merges a product into another one, which gets its reviews, its orders and its links. */
export function mergeProducts(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  into: string,
): Promise<ProductOutcome> {
  return changing(services, shop, actor, null, async (trx) => {
    const product = await findProduct(trx, shop.id, { publicId })
    const target = await findProduct(trx, shop.id, { publicId: into })
    if (!product || !target) return { outcome: 'gone' }
    if (product.id === target.id) return { outcome: 'same' }
    const along = await setMerged(trx, shop.id, product.id, target.id)
    return { kind: 'merge', product, along, into: target }
  })
}

export type UndoProductOutcome =
  | { outcome: 'done'; title: string }
  | { outcome: 'overtaken' | 'used' | 'skuTaken'; title: string }
  | { outcome: 'gone' }

/** Undoes a change, unless a later one has to do with the same products. */
export async function undoProductChange(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
): Promise<UndoProductOutcome> {
  const outcome = await writing(services.db, async (trx): Promise<UndoProductOutcome> => {
    const now = services.now().toISOString()
    const change = await findProductChange(trx, shop.id, { publicId })
    if (!change || change.undoneAt !== null) return { outcome: 'gone' }
    const { title } = change.before
    if (await isProductChangeOvertaken(trx, shop.id, change)) return { outcome: 'overtaken', title }
    const refused = await revert(services, trx, shop, change)
    if (refused) return { outcome: refused, title }
    await markProductChangeUndone(trx, change.id, now)
    await log(trx, shop, actor, {
      act: 'undoProduct',
      productId: change.productId,
      intoId: change.intoId,
      now,
    })
    await markAllStale(trx, shop.id, now)
    return { outcome: 'done', title }
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
  return outcome
}

async function revert(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  change: ProductChange,
): Promise<'used' | 'skuTaken' | null> {
  const { productId: id, before } = change
  switch (change.kind) {
    case 'add':
      if (await isProductUsed(trx, shop.id, id)) return 'used'
      await deleteProduct(trx, shop.id, id)
      return null
    case 'edit': {
      const product = (await findProduct(trx, shop.id, { id }))!
      const other = await productWithSku(trx, shop.id, before.sku)
      if (other && other.id !== id) return 'skuTaken'
      await updateProduct(trx, shop.id, product, before)
      return null
    }
    case 'retire':
    case 'offer':
      await setRetired(trx, shop.id, id, change.kind === 'offer')
      return null
    case 'merge':
      await clearMerged(trx, shop.id, { id, into: change.intoId!, along: before.along })
      await moveLater(services, trx, shop, { change: change.id, back: true })
      return null
  }
}

type Changed = {
  kind: ProductChangeKind
  product: Pick<Product, 'id' | 'sku' | 'title' | 'picture' | 'pageUrl'>
  along?: number[]
  into: Product | null
}

/** One change in a transaction, with the row that undo needs and its entry in the log. */
async function changing(
  services: Services,
  shop: Shop,
  actor: Actor,
  form: ProductForm | null,
  change: (
    trx: Knex.Transaction,
    picture: (kept: string | null) => string | null,
  ) => Promise<Changed | Exclude<ProductOutcome, { outcome: 'done' }>>,
): Promise<ProductOutcome> {
  const added = form && (await storePicture(services, shop.id, form.picture))
  const picture = (kept: string | null) =>
    kept !== null && form?.picture === `/media/${kept}` ? kept : added
  const outcome = await writing(services.db, async (trx): Promise<ProductOutcome> => {
    const changed = await change(trx, picture)
    if ('outcome' in changed) return changed
    const now = services.now().toISOString()
    const { kind, product, into, along = [] } = changed
    const publicId = services.newId()
    const { sku, title, picture: file, pageUrl } = product
    const id = await insertProductChange(trx, shop.id, {
      publicId,
      productId: product.id,
      actor,
      kind,
      before: { sku, title, picture: file, pageUrl, along },
      intoId: into?.id ?? null,
      at: now,
    })
    const act = `${kind}Product`
    await log(trx, shop, actor, { act, productId: product.id, intoId: into?.id ?? null, now })
    if (kind === 'merge') await moveLater(services, trx, shop, { change: id, back: false })
    await markAllStale(trx, shop.id, now)
    return { outcome: 'done', change: publicId, title: form?.title ?? title, into: into?.title ?? '' }
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
  return outcome
}

function moveLater(
  services: Services,
  trx: Knex.Transaction,
  shop: Shop,
  payload: MoveReviews,
): Promise<void> {
  return enqueue(trx, {
    shopId: shop.id,
    kind: MOVE_REVIEWS,
    uniqueKey: `${MOVE_REVIEWS}:${shop.id}:${payload.change}:${payload.back}`,
    payload: { ...payload },
    dueAt: services.now().toISOString(),
  })
}

async function log(
  trx: Knex.Transaction,
  shop: Shop,
  actor: Actor,
  { act, productId, intoId, now }: { act: string; productId: number; intoId: number | null; now: string },
): Promise<void> {
  await appendDecision(trx, {
    shopId: shop.id,
    act,
    actor,
    before: { product: productId },
    after: { product: intoId ?? productId },
    digest: '',
    at: now,
  })
}

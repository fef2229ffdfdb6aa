import type { Knex } from 'knex'
import { z } from 'zod'
import { actorSchema, type Actor } from '../../core/moderation/actor'

export type ProductChangeKind = 'add' | 'edit' | 'merge' | 'retire' | 'offer'

/** What undo needs. */
const beforeSchema = z.object({
  sku: z.string(),
  title: z.string(),
  picture: z.string().nullable(),
  pageUrl: z.string(),
  /** Products that had been merged into this one. */
  along: z.array(z.number()).default([]),
})
type ProductBefore = z.infer<typeof beforeSchema>

/** A change of a product that can be undone. */
export interface ProductChange {
  id: number
  publicId: string
  productId: number
  actor: Actor
  kind: ProductChangeKind
  before: ProductBefore
  /** The product that it was merged into. */
  intoId: number | null
  at: string
  undone: boolean
}

const columns = {
  id: 'id',
  publicId: 'public_id',
  productId: 'product_id',
  actor: 'actor',
  kind: 'kind',
  before: 'before',
  intoId: 'into_id',
  at: 'at',
  undoneAt: 'undone_at',
}
type Row = Omit<ProductChange, 'actor' | 'before' | 'undone'> & {
  actor: string
  before: string
  undoneAt: string | null
}
const read = ({ undoneAt, actor, before, ...row }: Row): ProductChange => ({
  ...row,
  actor: actorSchema.parse(JSON.parse(actor)),
  before: beforeSchema.parse(JSON.parse(before)),
  undone: undoneAt !== null,
})

export async function insertProductChange(
  trx: Knex.Transaction,
  shopId: number,
  change: Omit<ProductChange, 'id' | 'undone'>,
): Promise<number> {
  const [id] = await trx('product_change').insert({
    shop_id: shopId,
    public_id: change.publicId,
    product_id: change.productId,
    actor: JSON.stringify(change.actor),
    kind: change.kind,
    before: JSON.stringify(change.before),
    into_id: change.intoId,
    at: change.at,
  })
  return id!
}

export async function findProductChange(
  db: Knex,
  shopId: number,
  which: { id: number } | { publicId: string },
): Promise<ProductChange | null> {
  const query = db('product_change').where({ shop_id: shopId })
  if ('id' in which) query.where({ id: which.id })
  else query.where({ public_id: which.publicId })
  const row: Row | undefined = await query.first(columns)
  return row ? read(row) : null
}

/** The latest changes, latest first. */
export async function latestProductChanges(
  db: Knex,
  shopId: number,
  limit: number,
): Promise<ProductChange[]> {
  const rows: Row[] = await db('product_change')
    .where({ shop_id: shopId })
    .orderBy('id', 'desc')
    .limit(limit)
    .select(columns)
  return rows.map(read)
}

/** Whether a later change that still holds has to do with the same products. */
export async function isProductChangeOvertaken(
  db: Knex,
  shopId: number,
  { id, productId, intoId }: ProductChange,
): Promise<boolean> {
  const products = intoId === null ? [productId] : [productId, intoId]
  const later = await db('product_change')
    .where({ shop_id: shopId, undone_at: null })
    .where('id', '>', id)
    .where((same) => void same.whereIn('product_id', products).orWhereIn('into_id', products))
    .first('id')
  return later !== undefined
}

export async function markProductChangeUndone(trx: Knex.Transaction, id: number, now: string): Promise<void> {
  await trx('product_change').where({ id }).update({ undone_at: now })
}

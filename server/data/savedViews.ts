import type { Knex } from 'knex'

/** A named filter of the queue, for all members of the shop. */
export interface SavedView {
  publicId: string
  name: string
  /** The query of the queue's address. */
  query: string
}

export async function savedViewsOfShop(db: Knex, shopId: number): Promise<SavedView[]> {
  return db('saved_view')
    .where({ shop_id: shopId })
    .orderBy('name')
    .select({ publicId: 'public_id', name: 'name', query: 'query' })
}

/** Saves a filter; one with the same name is replaced. */
export async function putSavedView(db: Knex, shopId: number, view: SavedView): Promise<void> {
  await db('saved_view')
    .insert({ shop_id: shopId, public_id: view.publicId, name: view.name, query: view.query })
    .onConflict(['shop_id', 'name'])
    .merge(['query'])
}

export async function deleteSavedView(db: Knex, shopId: number, publicId: string): Promise<void> {
  await db('saved_view').where({ shop_id: shopId, public_id: publicId }).delete()
}

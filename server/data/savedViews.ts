import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { newRow } from './rows'
import { pick, readAll, type Selected } from './select'

/** A named filter of the queue, for all members of the shop. */
export type SavedView = Selected<typeof columns>
const columns = pick(tables.savedView, 'publicId', 'name', 'query')

export async function savedViewsOfShop(db: Knex, shopId: number): Promise<SavedView[]> {
  return readAll(db('saved_view').where({ shop_id: shopId }).orderBy('name'), columns)
}

/** Saves a filter; one with the same name is replaced. */
export async function putSavedView(db: Knex, shopId: number, view: SavedView): Promise<void> {
  await db('saved_view')
    .insert(newRow(tables.savedView, { ...view, shopId }))
    .onConflict(['shop_id', 'name'])
    .merge(['query'])
}

export async function deleteSavedView(db: Knex, shopId: number, publicId: string): Promise<void> {
  await db('saved_view').where({ shop_id: shopId, public_id: publicId }).delete()
}

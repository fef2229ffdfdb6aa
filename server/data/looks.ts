import type { Knex } from 'knex'
import type { OwnLook } from '../../core/display/lookChanges'
import type { Theme } from '../../core/display/themeSchema'
import { countRows } from './countRows'
import { tables } from './schema/tables'
import { insert, row, whereOf } from './rows'
import { pick, readAll, readOne } from './select'

const MAX_LOOKS = 60

const present = (db: Knex, shopId: number) =>
  db('look').where(whereOf(tables.look, { shopId, removedAt: null }))

/** The looks that a shop has saved, oldest first. One that can't be read is left out. */
export async function looksOfShop(db: Knex, shopId: number): Promise<OwnLook[]> {
  const rows = await readAll(
    present(db, shopId).orderBy('id').limit(MAX_LOOKS),
    pick(tables.look, 'publicId', 'name', 'theme'),
  )
  return rows.flatMap(({ theme, ...look }) => (theme ? [{ ...look, theme }] : []))
}

/** Returns false if the shop has too many. */
export async function insertLook(
  trx: Knex.Transaction,
  shopId: number,
  { publicId, name, theme }: OwnLook,
  at: string,
): Promise<boolean> {
  if ((await countRows(present(trx, shopId))) >= MAX_LOOKS) return false
  await insert(trx, tables.look, { shopId, publicId, name, theme, createdAt: at })
  return true
}

export async function setLookRemoved(
  trx: Knex.Transaction,
  shopId: number,
  publicId: string,
  at: string | null,
): Promise<void> {
  await trx('look')
    .where(whereOf(tables.look, { shopId, publicId }))
    .update(row(tables.look, { removedAt: at }))
}

/** What a new display of a shop starts with; null is like the page. */
export async function startingThemeOf(db: Knex, shopId: number): Promise<Theme | null> {
  const { startingTheme } = await readOne(
    db('shop').where({ id: shopId }),
    pick(tables.shop, 'startingTheme'),
  )
  return startingTheme
}

export async function putStartingTheme(
  trx: Knex.Transaction,
  shopId: number,
  startingTheme: Theme,
): Promise<void> {
  await trx('shop').where({ id: shopId }).update(row(tables.shop, { startingTheme }))
}

import type { Knex } from 'knex'
import type { OwnLook } from '../../core/display/lookChanges'
import { themeSchema, type Theme } from '../../core/display/themeSchema'

const MAX_LOOKS = 60

/** The looks that a shop has saved, oldest first. One that can't be read is left out. */
export async function looksOfShop(db: Knex, shopId: number): Promise<OwnLook[]> {
  const rows: { publicId: string; name: string; theme: string }[] = await db('look')
    .where({ shop_id: shopId, removed_at: null })
    .orderBy('id')
    .limit(MAX_LOOKS)
    .select({ publicId: 'public_id', name: 'name', theme: 'theme' })
  return rows.flatMap(({ theme, ...row }) => {
    const read = readTheme(theme)
    return read ? [{ ...row, theme: read }] : []
  })
}

/** Returns false if the shop has too many. */
export async function insertLook(
  trx: Knex.Transaction,
  shopId: number,
  { publicId, name, theme }: OwnLook,
  at: string,
): Promise<boolean> {
  const looks = await trx('look').where({ shop_id: shopId, removed_at: null }).count({ count: '*' })
  if (Number(looks[0]!.count) >= MAX_LOOKS) return false
  await trx('look').insert({
    shop_id: shopId,
    public_id: publicId,
    name,
    theme: JSON.stringify(theme),
    created_at: at,
  })
  return true
}

export async function setLookRemoved(
  trx: Knex.Transaction,
  shopId: number,
  publicId: string,
  at: string | null,
): Promise<void> {
  await trx('look').where({ shop_id: shopId, public_id: publicId }).update({ removed_at: at })
}

/** What a new display of a shop starts with; null is like the page. */
export async function startingThemeOf(db: Knex, shopId: number): Promise<Theme | null> {
  const row: { theme: string } | undefined = await db('shop')
    .where({ id: shopId })
    .first({ theme: 'starting_theme' })
  return row?.theme ? readTheme(row.theme) : null
}

export async function putStartingTheme(trx: Knex.Transaction, shopId: number, theme: Theme): Promise<void> {
  await trx('shop')
    .where({ id: shopId })
    .update({ starting_theme: JSON.stringify(theme) })
}

function readTheme(json: string): Theme | null {
  try {
    return themeSchema.safeParse(JSON.parse(json)).data ?? null
  } catch {
    return null
  }
}

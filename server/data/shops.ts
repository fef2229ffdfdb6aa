import type { Role } from '../../core/account/permissions'
import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insert, row, whereOf } from './rows'
import { hasRows, pick, readAll, readFirst, readOne, type Selected } from './select'

const columns = {
  ...pick(
    tables.shop,
    'id',
    'publicId',
    'slug',
    'name',
    'shortName',
    'ownDomains',
    'brand',
    'logo',
    'locale',
  ),
  ...pick(tables.shop, 'timeZone', 'siteUrl', 'description', 'background', 'textColour', 'fonts', 'corners'),
  ...pick(tables.shop, 'replyName', 'languages', 'customerLanguages'),
}
export type Shop = Selected<typeof columns>

export async function insertShop(trx: Knex, shop: Omit<Shop, 'id'>, now: string): Promise<number> {
  return insert(trx, tables.shop, { ...shop, createdAt: now })
}

export async function updateShop(
  trx: Knex,
  { id, publicId: _publicId, slug: _slug, ...shop }: Shop,
): Promise<void> {
  await trx('shop').where({ id }).update(row(tables.shop, shop))
}

export async function insertMembership(
  trx: Knex,
  memberId: number,
  shopId: number,
  role: Role = 'owner',
): Promise<void> {
  await insert(trx, tables.membership, { memberId, shopId, role })
}

export async function areFirstStepsPutAway(db: Knex, shopId: number): Promise<boolean> {
  return hasRows(db('shop').where(whereOf(tables.shop, { id: shopId, firstStepsAway: true })))
}

export async function putAwayFirstSteps(db: Knex, shopId: number, isAway: boolean): Promise<void> {
  await db('shop')
    .where({ id: shopId })
    .update(row(tables.shop, { firstStepsAway: isAway }))
}

export const isSlugTaken = (db: Knex, slug: string): Promise<boolean> => hasRows(db('shop').where({ slug }))

export async function findShop(db: Knex, shopId: number): Promise<Shop> {
  return readOne(db('shop').where({ id: shopId }), columns)
}

export async function findShopBySlug(db: Knex, slug: string): Promise<Shop | null> {
  return (await readFirst(db('shop').where({ slug }), columns)) ?? null
}

/** A shop as one of its members sees it. */
export type MemberShop = Shop & { role: Role }

/** A member's shops, by name. */
export async function shopsOfMember(db: Knex, memberId: number): Promise<MemberShop[]> {
  return readAll(
    db('shop')
      .join('membership', 'membership.shop_id', 'shop.id')
      .where('membership.member_id', memberId)
      .orderBy('shop.name', 'desc'),
    { ...columns, role: tables.membership.role },
  )
}

/** Every shop of the installation. */
export async function allShops(db: Knex): Promise<Pick<Shop, 'id' | 'slug'>[]> {
  return readAll(db('shop').orderBy('id'), pick(tables.shop, 'id', 'slug'))
}

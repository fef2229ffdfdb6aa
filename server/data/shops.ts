import type { Role } from '../../core/account/permissions'
import type { Knex } from 'knex'
import { z } from 'zod'

export interface Shop {
  id: number
  publicId: string
  slug: string
  name: string
  shortName: string
  ownDomains: string[]
  brand: string
  logo: string | null
  locale: string
  timeZone: string
  siteUrl: string
  description: string
  /** Colours (hex) and font (a CSS list) of its site. */
  background: string
  textColour: string
  fonts: string
  /** Radius of its buttons in CSS pixels. */
  corners: number
  /** The name under its replies. */
  replyName: string
  /** Languages its members read, as two-letter tags. */
  languages: string[]
  /** Languages for its customers, as two-letter tags. */
  customerLanguages: string[]
}

const columns = {
  id: 'shop.id',
  publicId: 'shop.public_id',
  slug: 'shop.slug',
  name: 'shop.name',
  shortName: 'shop.short_name',
  ownDomains: 'shop.own_domains',
  brand: 'shop.brand',
  logo: 'shop.logo',
  locale: 'shop.locale',
  timeZone: 'shop.time_zone',
  siteUrl: 'shop.site_url',
  description: 'shop.description',
  background: 'shop.background',
  textColour: 'shop.text_colour',
  fonts: 'shop.fonts',
  corners: 'shop.corners',
  replyName: 'shop.reply_name',
  languages: 'shop.languages',
  customerLanguages: 'shop.customer_languages',
}

type Listed = 'ownDomains' | 'languages' | 'customerLanguages'
type ShopRow = Omit<Shop, Listed> & Record<Listed, string>
const texts = z.array(z.string())
const read = (row: ShopRow): Shop => ({
  ...row,
  ownDomains: texts.parse(JSON.parse(row.ownDomains)),
  languages: texts.parse(JSON.parse(row.languages)),
  customerLanguages: texts.parse(JSON.parse(row.customerLanguages)),
})

const stored = (shop: Omit<Shop, 'id' | 'publicId' | 'slug'>) => ({
  name: shop.name,
  short_name: shop.shortName,
  own_domains: JSON.stringify(shop.ownDomains),
  brand: shop.brand,
  logo: shop.logo,
  locale: shop.locale,
  time_zone: shop.timeZone,
  site_url: shop.siteUrl,
  description: shop.description,
  background: shop.background,
  text_colour: shop.textColour,
  fonts: shop.fonts,
  corners: shop.corners,
  reply_name: shop.replyName,
  languages: JSON.stringify(shop.languages),
  customer_languages: JSON.stringify(shop.customerLanguages),
})

export async function insertShop(trx: Knex, shop: Omit<Shop, 'id'>, now: string): Promise<number> {
  const [id] = await trx('shop').insert({
    public_id: shop.publicId,
    slug: shop.slug,
    created_at: now,
    ...stored(shop),
  })
  return id!
}

export async function updateShop(trx: Knex, shop: Shop): Promise<void> {
  await trx('shop').where({ id: shop.id }).update(stored(shop))
}

export async function insertMembership(
  trx: Knex,
  memberId: number,
  shopId: number,
  role: Role = 'owner',
): Promise<void> {
  await trx('membership').insert({ member_id: memberId, shop_id: shopId, role })
}

export async function isSlugTaken(db: Knex, slug: string): Promise<boolean> {
  return (await db('shop').where({ slug }).first('id')) !== undefined
}

export async function findShop(db: Knex, shopId: number): Promise<Shop> {
  return read(await db('shop').where('shop.id', shopId).first<ShopRow>(columns))
}

export async function findShopBySlug(db: Knex, slug: string): Promise<Shop | null> {
  const row = await db('shop').where('shop.slug', slug).first<ShopRow | undefined>(columns)
  return row ? read(row) : null
}

/** A shop as one of its members sees it. */
export type MemberShop = Shop & { role: Role }

/** A member's shops, by name. */
export async function shopsOfMember(db: Knex, memberId: number): Promise<MemberShop[]> {
  const rows = await db('shop')
    .join('membership', 'membership.shop_id', 'shop.id')
    .where('membership.member_id', memberId)
    .orderBy('shop.name', 'desc')
    .select<(ShopRow & { role: Role })[]>({ ...columns, role: 'membership.role' })
  return rows.map((row) => ({ ...read(row), role: row.role }))
}

/** Every shop of the installation. */
export async function allShops(db: Knex): Promise<Pick<Shop, 'id' | 'slug'>[]> {
  return db('shop').orderBy('id').select('id', 'slug')
}

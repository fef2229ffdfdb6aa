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
}

type ShopRow = Omit<Shop, 'ownDomains'> & { ownDomains: string }
const read = (row: ShopRow): Shop => ({
  ...row,
  ownDomains: z.array(z.string()).parse(JSON.parse(row.ownDomains)),
})

export async function findShop(db: Knex, shopId: number): Promise<Shop> {
  return read(await db('shop').where('shop.id', shopId).first<ShopRow>(columns))
}

/** The shops a member belongs to, by name. */
export async function shopsOfMember(db: Knex, memberId: number): Promise<Shop[]> {
  const rows = await db('shop')
    .join('membership', 'membership.shop_id', 'shop.id')
    .where('membership.member_id', memberId)
    .orderBy('shop.name', 'desc')
    .select<ShopRow[]>(columns)
  return rows.map(read)
}

export interface Product {
  id: number
  sku: string
  title: string
}

export async function productsOfShop(db: Knex, shopId: number): Promise<Product[]> {
  return db('product').where({ shop_id: shopId }).orderBy('title').select<Product[]>('id', 'sku', 'title')
}

/** Every shop of the installation, for work that is about the installation and no shop's own. */
export async function allShops(db: Knex): Promise<Pick<Shop, 'id' | 'slug'>[]> {
  return db('shop').orderBy('id').select('id', 'slug')
}

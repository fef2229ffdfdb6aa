import { startingConfiguration } from '../core/display/startingConfiguration'
import { layouts } from '../core/display/choices'
import { designSchema } from '../core/form/design'
import { insertDisplay, findDisplay, putDraftLive } from '../server/data/displays'
import { insertForm } from '../server/data/forms'
import { insertListing } from '../server/data/listings'
import { productRow } from '../server/data/products'
import { tables } from '../server/data/schema/tables'
import { insertStored, row as stored } from '../server/data/rows'
import type { Services } from '../server/services'
import type { Amounts } from './amounts'

const DAY_MS = 86_400_000
const ROWS_AT_ONCE = 2000
const START = Date.parse('2026-01-01T00:00:00Z')

/** Products, customers, orders, forms, displays and listings of a shop, the same in each run. */
export async function fillThings(services: Services, shopId: number, amounts: Amounts): Promise<void> {
  const { db } = services
  const at = (i: number, of: number) => new Date(START + (i / of) * 330 * DAY_MS).toISOString()
  async function rows(
    table: string,
    count: number,
    row: (i: number) => Record<string, string | number | boolean | null>,
  ) {
    for (let from = 0; from < count; from += ROWS_AT_ONCE) {
      const some = Array.from({ length: Math.min(ROWS_AT_ONCE, count - from) }, (_, i) => row(from + i))
      await db.transaction((trx) => insertStored(trx, table, some))
    }
  }
  await rows('product', amounts.products, (i) => ({
    id: i + 1,
    ...stored(
      tables.product,
      productRow(shopId, `p${i + 1}`, { sku: `SKU-${i + 1}`, title: `Product ${i + 1} of oak and wool` }),
    ),
  }))
  await rows('customer', amounts.customers, (i) => ({
    id: i + 1,
    shop_id: shopId,
    public_id: `c${i}`,
    email_key: `c${i}@post.example`,
    address: `c${i}@post.example`,
    created_at: at(i, amounts.customers),
  }))
  await rows('purchase', amounts.orders, (i) => ({
    id: i + 1,
    shop_id: shopId,
    public_id: `o${i}`,
    number: `WB-${i}`,
    number_key: `wb${i}`,
    email: `c${i}@post.example`,
    email_key: `c${i}@post.example`,
    name: `Buyer ${i}`,
    placed_at: at(i, amounts.orders),
  }))
  await rows('purchase_line', amounts.orders, (i) => ({
    shop_id: shopId,
    purchase_id: i + 1,
    // Few products are sold often.
    product_id: 1 + Math.floor((((i * 7919) % 1000) / 1000) ** 3 * amounts.products),
    status: 'delivered',
    delivered_at: at(i, amounts.orders),
  }))
  for (let i = 0; i < amounts.forms; i++)
    await insertForm(db, {
      shopId,
      publicId: `form${i}`,
      slug: `form-${i}`,
      name: `Course ${i}`,
      writers: 'anyone',
      design: designSchema.parse({
        schema: 1,
        heading: `How was course ${i}?`,
        questions: Array.from({ length: 3 }, (_, number) => ({
          id: `q${i}x${number}`,
          label: `Question ${number} of course ${i}`,
          kind: 'one',
          options: ['one', 'two', 'three', 'four', 'five'],
        })),
      }),
      now: at(i, amounts.forms),
    })
  for (let i = 0; i < amounts.listings; i++)
    await db.transaction((trx) =>
      insertListing(trx, {
        shopId,
        publicId: `listing${i}`,
        origin: 'page',
        kind: 'listing',
        externalId: `https://sheets.example/${i}`,
        name: `Sheet ${i}`,
        street: '',
        url: `https://sheets.example/${i}`,
        writeUrl: null,
        picture: null,
        average: null,
        scale: null,
        count: null,
        languages: [],
        productId: null,
        tag: '',
        arrivesAs: 'approved',
        accessKey: null,
        matching: null,
        createdAt: at(i, amounts.listings),
        isLinked: true,
      }),
    )
  for (let i = 0; i < amounts.displays; i++) {
    const kind = layouts[i % layouts.length]!
    await db.transaction(async (trx) => {
      await insertDisplay(trx, {
        shopId,
        publicId: `d${i}`,
        key: `display${i}`,
        name: `Display ${i}`,
        configuration: {
          ...startingConfiguration,
          layout: { ...startingConfiguration.layout, kind },
          selection: {
            ...startingConfiguration.selection,
            limit: 12,
            ...(i % 3 === 1 && {
              products: { kind: 'chosen' as const, skus: [`SKU-${i + 1}`, `SKU-${i + 2}`] },
            }),
            ...(i % 5 === 2 && { order: 'balanced' as const }),
          },
        },
        now: at(i, amounts.displays),
      })
      const display = (await findDisplay(trx, shopId, { key: `display${i}` }))!
      await putDraftLive(trx, display, 1, at(i, amounts.displays))
    })
  }
}

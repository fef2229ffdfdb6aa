import { z } from 'zod'
import { writersSchema } from '../../../core/intake/writers'
import { actorSchema } from '../../../core/moderation/actor'
import { choice, flag, id, integer, json, text } from '../columnDefinition'
import { created, table } from '../table'

export const product = table(
  'product',
  {
    id: id(),
    shopId: integer().refers('shop'),
    publicId: text().unique(),
    sku: text(),
    title: text(),
    /** The file of its picture. */
    picture: text().null(),
    sold: integer().initially(0),
    /** The address of its page; may be empty. */
    pageUrl: text().initially(''),
    /** Forms no longer offer it; its reviews stay. */
    retired: flag().initially(false),
    mergedInto: integer().refers('product').null(),
    /** Who can write about it; null for what the form says. */
    writers: choice(...writersSchema.options).null(),
    skuKey: text().initially(''),
    searchText: text().initially(''),
    reviews: integer().initially(0),
    approved: integer().initially(0),
    uses: integer().generated('sold + reviews'),
  },
  { constraints: ['UNIQUE (shop_id, sku)'] },
)

export const productAlias = table(
  'product_alias',
  {
    shopId: integer().refers('shop'),
    skuKey: text(),
    productId: integer().refers('product'),
  },
  { constraints: ['PRIMARY KEY (shop_id, sku_key)'], withoutRowId: true },
)

/** What undoing a change of a product needs. */
const productBefore = z.object({
  sku: z.string(),
  title: z.string(),
  picture: z.string().nullable(),
  pageUrl: z.string(),
  /** Products that had been merged into this one. */
  along: z.array(z.number()).default([]),
})

export const productChange = table('product_change', {
  id: id(),
  shopId: integer().refers('shop'),
  publicId: text().unique(),
  productId: integer(),
  actor: json(actorSchema),
  kind: choice('add', 'edit', 'merge', 'retire', 'offer'),
  before: json(productBefore),
  /** The product that it was merged into. */
  intoId: integer().null(),
  at: text(),
  undoneAt: text().null(),
})

/** The words of products, also in the middle of a word. Words of less than three letters are not in it. */
export const productText = [
  `CREATE VIRTUAL TABLE product_text USING fts5(
    search_text, content = '', contentless_delete = 1, tokenize = 'trigram'
  )`,
  `CREATE TRIGGER product_searched AFTER INSERT ON product BEGIN
    INSERT INTO product_text (rowid, search_text) VALUES (new.id, new.search_text);
  END`,
  `CREATE TRIGGER product_renamed AFTER UPDATE OF search_text ON product BEGIN
    DELETE FROM product_text WHERE rowid = new.id;
    INSERT INTO product_text (rowid, search_text) VALUES (new.id, new.search_text);
  END`,
  `CREATE TRIGGER product_forgotten AFTER DELETE ON product BEGIN
    DELETE FROM product_text WHERE rowid = old.id;
  END`,
]

/** What a shop sells, under its present and earlier SKUs. */
export const products = [
  created(product),
  `CREATE INDEX product_by_picture ON product (picture) WHERE picture IS NOT NULL`,
  `CREATE INDEX product_by_title ON product (shop_id, title)`,
  `CREATE INDEX product_by_merged ON product (merged_into) WHERE merged_into IS NOT NULL`,
  `CREATE INDEX product_by_sku ON product (shop_id, sku_key)`,
  `CREATE INDEX product_by_use ON product (shop_id, retired, uses DESC, title) WHERE merged_into IS NULL`,
  `CREATE INDEX product_by_text ON product (shop_id, search_text) WHERE merged_into IS NULL`,
  `CREATE INDEX product_unreviewed ON product (shop_id, sold DESC, title) WHERE merged_into IS NULL AND retired = 0 AND reviews = 0`,

  ...productText,

  created(productAlias),
  `CREATE INDEX product_alias_by_product ON product_alias (product_id)`,

  created(productChange),
  `CREATE INDEX product_change_by_shop ON product_change (shop_id, id)`,
]

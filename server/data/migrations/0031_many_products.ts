import type { Knex } from 'knex'
import { searchTextOf, skuKey } from '../products'

/**
 * A shop can have tens of thousands of products: they are found by SKU, by words and by how often they are used
 * through indexes, and counters without products say what the lists and displays of a whole shop contain. Sheets are
 * not linked to unless their owner says so.
 */
const laneKeys =
  'shop_id, state, rating, showable, in_averages, source, language, verified, has_text, needs_reply'
const totalKeys = 'shop_id, rating, source, language, verified, has_text, listing_id, has_photo, form_id'

/** Keeps a table of sums without products; `by` is what a row of the counters changed by. */
const summing = (table: string, keys: string, by: string) => `INSERT INTO ${table} (${keys}, count)
  VALUES (${keys.replace(/\w+/g, 'new.$&')}, ${by}) ON CONFLICT DO UPDATE SET count = count + excluded.count`

const countingReviews = (by: string) => `UPDATE product SET
    reviews = reviews + (new.state IN ('waiting', 'held', 'approved')) * (${by}),
    approved = approved + (new.state = 'approved') * (${by})
  WHERE id = new.product_id`

const statements = [
  `ALTER TABLE product ADD COLUMN sku_key TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE product ADD COLUMN search_text TEXT NOT NULL DEFAULT ''`,
  // Of its reviews: those that wait, are held back or are approved; and the approved ones.
  `ALTER TABLE product ADD COLUMN reviews INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE product ADD COLUMN approved INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE product ADD COLUMN uses INTEGER GENERATED ALWAYS AS (sold + reviews) VIRTUAL`,
  `UPDATE product SET
    reviews = (SELECT count(*) FROM review
      WHERE review.product_id = product.id AND state IN ('waiting', 'held', 'approved')),
    approved = (SELECT count(*) FROM review WHERE review.product_id = product.id AND state = 'approved')`,
  // What was sold of the products that were merged into one counts for that one too.
  `UPDATE product SET sold = sold + (SELECT count(*) FROM product AS part
      JOIN purchase_line ON purchase_line.product_id = part.id WHERE part.merged_into = product.id)
    WHERE id IN (SELECT merged_into FROM product WHERE merged_into IS NOT NULL)`,
  `DROP TRIGGER product_sold`,
  `DROP TRIGGER product_unsold`,
  `CREATE TRIGGER product_sold AFTER INSERT ON purchase_line BEGIN
    UPDATE product SET sold = sold + 1 WHERE id = new.product_id;
    UPDATE product SET sold = sold + 1 WHERE id = (SELECT merged_into FROM product WHERE id = new.product_id);
  END`,
  `CREATE TRIGGER product_unsold AFTER DELETE ON purchase_line BEGIN
    UPDATE product SET sold = sold - 1 WHERE id = old.product_id;
    UPDATE product SET sold = sold - 1 WHERE id = (SELECT merged_into FROM product WHERE id = old.product_id);
  END`,
  `DROP INDEX product_by_lower_sku`,
  `CREATE INDEX product_by_sku ON product (shop_id, sku_key)`,
  `CREATE INDEX product_by_use ON product (shop_id, retired, uses DESC, title) WHERE merged_into IS NULL`,
  `CREATE INDEX product_by_text ON product (shop_id, search_text) WHERE merged_into IS NULL`,
  `CREATE INDEX product_unreviewed ON product (shop_id, sold DESC, title)
    WHERE merged_into IS NULL AND retired = 0 AND reviews = 0`,

  `CREATE TABLE lane_count (
    shop_id INTEGER NOT NULL,
    state TEXT NOT NULL,
    rating INTEGER NOT NULL,
    showable INTEGER NOT NULL,
    in_averages INTEGER NOT NULL,
    source TEXT NOT NULL,
    language TEXT NOT NULL,
    verified INTEGER NOT NULL,
    has_text INTEGER NOT NULL,
    needs_reply INTEGER NOT NULL,
    count INTEGER NOT NULL,
    PRIMARY KEY (${laneKeys})
  ) WITHOUT ROWID`,
  `INSERT INTO lane_count (${laneKeys}, count)
    SELECT ${laneKeys}, sum(count) FROM review_count GROUP BY ${laneKeys}`,
  `CREATE TRIGGER review_count_begun AFTER INSERT ON review_count BEGIN
    ${summing('lane_count', laneKeys, 'new.count')};
    ${countingReviews('new.count')};
  END`,
  `CREATE TRIGGER review_count_changed AFTER UPDATE OF count ON review_count BEGIN
    ${summing('lane_count', laneKeys, 'new.count - old.count')};
    ${countingReviews('new.count - old.count')};
  END`,

  `CREATE TABLE publishable_total (
    shop_id INTEGER NOT NULL,
    rating INTEGER NOT NULL,
    source TEXT NOT NULL,
    language TEXT NOT NULL,
    verified INTEGER NOT NULL,
    has_text INTEGER NOT NULL,
    listing_id INTEGER NOT NULL,
    has_photo INTEGER NOT NULL,
    form_id INTEGER NOT NULL,
    count INTEGER NOT NULL,
    PRIMARY KEY (${totalKeys})
  ) WITHOUT ROWID`,
  `INSERT INTO publishable_total (${totalKeys}, count)
    SELECT ${totalKeys}, sum(count) FROM publishable_count GROUP BY ${totalKeys}`,
  `CREATE TRIGGER publishable_count_begun AFTER INSERT ON publishable_count BEGIN
    ${summing('publishable_total', totalKeys, 'new.count')};
  END`,
  `CREATE TRIGGER publishable_count_changed AFTER UPDATE OF count ON publishable_count BEGIN
    ${summing('publishable_total', totalKeys, 'new.count - old.count')};
  END`,
  `CREATE INDEX publishable_by_traits ON publishable_review (${totalKeys}, written_at, review_id)`,

  `ALTER TABLE tag ADD COLUMN uses INTEGER NOT NULL DEFAULT 0`,
  `UPDATE tag SET uses = (SELECT count(*) FROM review_tag WHERE tag_id = tag.id)`,
  `CREATE TRIGGER tag_used AFTER INSERT ON review_tag BEGIN
    UPDATE tag SET uses = uses + 1 WHERE id = new.tag_id;
  END`,
  `CREATE TRIGGER tag_unused AFTER DELETE ON review_tag BEGIN
    UPDATE tag SET uses = uses - 1 WHERE id = old.tag_id;
  END`,
  `CREATE INDEX tag_by_use ON tag (shop_id, uses DESC, name)`,

  // Whether visitors get a link to it; a sheet has columns that its owner may have set to private.
  `ALTER TABLE listing ADD COLUMN is_linked INTEGER NOT NULL DEFAULT 1`,
  `UPDATE listing SET is_linked = 0 WHERE matching IS NOT NULL`,
  // When a form's draft was saved, and by which browser tab, so that another one does not overwrite it.
  `ALTER TABLE form ADD COLUMN draft_saved_at TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE form ADD COLUMN draft_tab TEXT NOT NULL DEFAULT ''`,

  `CREATE INDEX review_by_form_time ON review (form_id, received_at) WHERE form_id IS NOT NULL`,
  `CREATE INDEX mail_by_kind ON mail (shop_id, kind, queued_at)`,
  // The number of reviews that the next daily email tells of; one counts when it came or when its writer confirmed it.
  `ALTER TABLE shop ADD COLUMN digest_count INTEGER NOT NULL DEFAULT 0`,
  `UPDATE shop SET digest_count = (SELECT count(*) FROM review
    WHERE shop_id = shop.id AND form_id IS NOT NULL AND received_at >= digest_day AND unconfirmed = 0)
    WHERE digest_day <> ''`,
  `ALTER TABLE shop DROP COLUMN digest_day`,
  // The network that a photo came from, so that one sender cannot fill the room of all.
  `ALTER TABLE pending_photo ADD COLUMN network TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE pending_photo ADD COLUMN bytes INTEGER NOT NULL DEFAULT 0`,
  `CREATE INDEX pending_photo_by_network ON pending_photo (network)`,
  `CREATE INDEX pending_photo_by_form ON pending_photo (form_id)`,
  `CREATE INDEX pending_photo_by_shop ON pending_photo (shop_id)`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
  const products: { id: number; sku: string; title: string }[] = await db('product').select(
    'id',
    'sku',
    'title',
  )
  for (const { id, ...named } of products)
    await db('product')
      .where({ id })
      .update({ sku_key: skuKey(named.sku), search_text: searchTextOf(named) })
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}

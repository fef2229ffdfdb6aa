import type { Knex } from 'knex'

/** Indexes instead of table scans. */
const statements = [
  `CREATE INDEX mail_by_review ON mail (review_id)`,
  `CREATE INDEX mail_troubled ON mail (shop_id, id) WHERE error IS NOT NULL AND state <> 'sent'`,
  `CREATE INDEX mail_by_state ON mail (shop_id, state)`,
  `CREATE INDEX mail_by_time ON mail (queued_at)`,
  `CREATE INDEX reply_by_review ON reply (review_id)`,
  `CREATE INDEX decline_reason_by_review ON decline_reason (review_id)`,
  `CREATE INDEX verification_by_line ON verification (purchase_line_id) WHERE purchase_line_id IS NOT NULL`,
  `DROP INDEX decision_by_review`,
  `CREATE INDEX decision_by_review ON decision (review_id, shop_id, number)`,
  `CREATE INDEX session_by_member ON session (member_id)`,
  `CREATE INDEX session_by_end ON session (expires_at)`,
  `CREATE INDEX token_by_end ON token (expires_at)`,
  `CREATE INDEX token_by_use ON token (used_at) WHERE used_at IS NOT NULL`,
  `CREATE INDEX media_by_name ON media (name)`,
  `CREATE INDEX media_by_time ON media (created_at)`,
  `CREATE INDEX staged_photo_by_name ON staged_photo (name)`,
  `CREATE INDEX staged_photo_by_small ON staged_photo (small)`,
  `CREATE INDEX review_version_by_portrait ON review_version (portrait) WHERE portrait IS NOT NULL`,
  `CREATE INDEX review_version_by_logo ON review_version (company_logo) WHERE company_logo IS NOT NULL`,
  `CREATE INDEX product_by_picture ON product (picture) WHERE picture IS NOT NULL`,
  `CREATE INDEX display_version_by_picture ON display_version (json_extract(configuration, '$.picture'))`,
  `CREATE INDEX product_by_lower_sku ON product (shop_id, lower(sku))`,
  `CREATE INDEX product_by_title ON product (shop_id, title)`,

  // Lines of a duplicate order number belong to the first order.
  `CREATE TEMP TABLE doubled AS SELECT purchase.id AS id, (
      SELECT min(id) FROM purchase AS first
      WHERE first.shop_id = purchase.shop_id AND first.number_key = purchase.number_key
    ) AS kept FROM purchase`,
  `DELETE FROM doubled WHERE id = kept`,
  `UPDATE purchase_line SET purchase_id = (SELECT kept FROM doubled WHERE doubled.id = purchase_id)
    WHERE purchase_id IN (SELECT id FROM doubled)`,
  `DELETE FROM purchase WHERE id IN (SELECT id FROM doubled)`,
  `DROP TABLE doubled`,
  `DROP INDEX purchase_by_number`,
  `CREATE UNIQUE INDEX purchase_by_number ON purchase (shop_id, number_key)`,
  `CREATE INDEX purchase_by_time ON purchase (shop_id, placed_at)`,
  `CREATE INDEX purchase_line_by_product ON purchase_line (product_id)`,

  `ALTER TABLE product ADD COLUMN sold INTEGER NOT NULL DEFAULT 0`,
  `UPDATE product SET sold = (SELECT count(*) FROM purchase_line WHERE product_id = product.id)`,
  `CREATE TRIGGER product_sold AFTER INSERT ON purchase_line BEGIN
    UPDATE product SET sold = sold + 1 WHERE id = new.product_id;
  END`,
  `CREATE TRIGGER product_unsold AFTER DELETE ON purchase_line BEGIN
    UPDATE product SET sold = sold - 1 WHERE id = old.product_id;
  END`,
  `ALTER TABLE shop ADD COLUMN orders INTEGER NOT NULL DEFAULT 0`,
  `UPDATE shop SET orders = (SELECT count(*) FROM purchase WHERE shop_id = shop.id)`,
  `CREATE TRIGGER order_counted AFTER INSERT ON purchase BEGIN
    UPDATE shop SET orders = orders + 1 WHERE id = new.shop_id;
  END`,
  `CREATE TRIGGER order_uncounted AFTER DELETE ON purchase BEGIN
    UPDATE shop SET orders = orders - 1 WHERE id = old.shop_id;
  END`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}

/** Orders, which prove purchases. */
export const orders = [
  `CREATE TABLE customer (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    email_key TEXT NOT NULL,
    address TEXT NOT NULL,
    created_at TEXT NOT NULL,
    UNIQUE (shop_id, email_key)
  )`,

  `CREATE TABLE purchase (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    number TEXT NOT NULL,
    number_key TEXT NOT NULL,
    email TEXT NOT NULL,
    name TEXT NOT NULL,
    placed_at TEXT NOT NULL,
    email_key TEXT NOT NULL DEFAULT ''
  )`,
  `CREATE INDEX purchase_by_email ON purchase (shop_id, email_key) WHERE email_key <> ''`,
  `CREATE UNIQUE INDEX purchase_by_number ON purchase (shop_id, number_key)`,
  `CREATE INDEX purchase_by_time ON purchase (shop_id, placed_at)`,
  `CREATE INDEX purchase_by_digits ON purchase (shop_id, trim(number_key, 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'))`,
  `CREATE TRIGGER order_counted AFTER INSERT ON purchase BEGIN
  UPDATE shop SET orders = orders + 1 WHERE id = new.shop_id;
  END`,
  `CREATE TRIGGER order_uncounted AFTER DELETE ON purchase BEGIN
  UPDATE shop SET orders = orders - 1 WHERE id = old.shop_id;
  END`,

  `CREATE TABLE purchase_line (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    purchase_id INTEGER NOT NULL REFERENCES purchase(id),
    product_id INTEGER NOT NULL REFERENCES product(id),
    status TEXT NOT NULL,
    delivered_at TEXT
  )`,
  `CREATE INDEX purchase_line_by_purchase ON purchase_line (purchase_id)`,
  `CREATE INDEX purchase_line_by_product ON purchase_line (product_id)`,
  `CREATE TRIGGER product_sold AFTER INSERT ON purchase_line BEGIN
  UPDATE product SET sold = sold + 1 WHERE id = new.product_id;
  UPDATE product SET sold = sold + 1 WHERE id = (SELECT merged_into FROM product WHERE id = new.product_id);
  END`,
  `CREATE TRIGGER product_unsold AFTER DELETE ON purchase_line BEGIN
  UPDATE product SET sold = sold - 1 WHERE id = old.product_id;
  UPDATE product SET sold = sold - 1 WHERE id = (SELECT merged_into FROM product WHERE id = old.product_id);
  END`,
]

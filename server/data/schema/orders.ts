import { id, integer, text } from '../columnDefinition'
import { created, table } from '../table'

export const customer = table(
  'customer',
  {
    id: id(),
    shopId: integer().refers('shop'),
    publicId: text().unique(),
    emailKey: text(),
    address: text(),
    createdAt: text(),
  },
  { constraints: ['UNIQUE (shop_id, email_key)'] },
)

export const purchase = table('purchase', {
  id: id(),
  shopId: integer().refers('shop'),
  publicId: text().unique(),
  number: text(),
  numberKey: text(),
  email: text(),
  name: text(),
  placedAt: text(),
  emailKey: text().initially(''),
})

export const purchaseLine = table('purchase_line', {
  id: id(),
  shopId: integer().refers('shop'),
  purchaseId: integer().refers('purchase'),
  productId: integer().refers('product'),
  status: text(),
  deliveredAt: text().null(),
})

/** Orders, which prove purchases. */
export const orders = [
  created(customer),

  created(purchase),
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

  created(purchaseLine),
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

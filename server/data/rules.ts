import type { Knex } from 'knex'
import { ruleSchema, type Rule } from '../../core/moderation/rules'
import { tables } from './schema/tables'
import { insert } from './rows'
import { pick, readAll } from './select'

export interface ShopRule extends Rule {
  name: string
}

/** The rules of a shop in their order, without those that every shop starts with. */
export async function rulesOfShop(db: Knex, shopId: number): Promise<ShopRule[]> {
  const rows = await readAll(
    db('rule').where({ shop_id: shopId }).orderBy('position'),
    pick(tables.rule, 'name', 'rule'),
  )
  // A rule of a later version doesn't stop reviews from coming in.
  return rows.flatMap(({ name, rule }) => (rule ? [{ ...rule, name }] : []))
}

export async function insertRule(
  trx: Knex,
  shopId: number,
  { name, position, now, ...rule }: ShopRule & { position: number; now: string },
): Promise<void> {
  await insert(trx, tables.rule, {
    shopId,
    publicId: rule.id,
    name,
    rule: ruleSchema.parse(rule),
    position,
    createdAt: now,
  })
}

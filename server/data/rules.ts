import type { Knex } from 'knex'
import { ruleSchema, type Rule } from '../../core/moderation/rules'

export interface ShopRule extends Rule {
  name: string
}

/** The rules of a shop in their order, without those that every shop starts with. */
export async function rulesOfShop(db: Knex, shopId: number): Promise<ShopRule[]> {
  const rows: { name: string; rule: string }[] = await db('rule')
    .where({ shop_id: shopId })
    .orderBy('position')
    .select('name', 'rule')
  return rows.flatMap(({ name, rule }) => {
    const read = ruleSchema.safeParse(JSON.parse(rule))
    // A rule of a later version doesn't stop reviews from coming in.
    return read.success ? [{ ...read.data, name }] : []
  })
}

export async function insertRule(
  trx: Knex,
  shopId: number,
  { name, position, now, ...rule }: ShopRule & { position: number; now: string },
): Promise<void> {
  await trx('rule').insert({
    shop_id: shopId,
    public_id: rule.id,
    name,
    rule: JSON.stringify(ruleSchema.parse(rule)),
    position,
    created_at: now,
  })
}

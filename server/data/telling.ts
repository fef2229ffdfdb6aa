import type { Knex } from 'knex'
import type { Told } from '../../core/account/told'

/** A shop's people with how each wants to be told. */
export async function membersTold(
  db: Knex,
  shopId: number,
): Promise<{ id: number; name: string; email: string; told: Told }[]> {
  return db('membership')
    .join('member', 'member.id', 'membership.member_id')
    .where({ 'membership.shop_id': shopId })
    .orderBy('member.id')
    .select('member.id', 'member.name', 'member.email', 'membership.told')
}

export async function setTold(db: Knex, shopId: number, memberId: number, told: Told): Promise<void> {
  await db('membership').where({ shop_id: shopId, member_id: memberId }).update({ told })
}

export async function setDigestHour(db: Knex, shopId: number, hour: number): Promise<void> {
  await db('shop').where({ id: shopId }).update({ digest_hour: hour })
}

/** The hour of a shop's digest, and from when on the next one tells. */
export async function digestOf(db: Knex, shopId: number): Promise<{ hour: number; since: string }> {
  return db('shop').where({ id: shopId }).first({ hour: 'digest_hour', since: 'digest_day' })
}

/** Sets from when on the first digest tells; later ones go on from the one before. */
export async function beginDigest(trx: Knex, shopId: number, at: string): Promise<void> {
  await trx('shop').where({ id: shopId, digest_day: '' }).update({ digest_day: at })
}

export async function setDigestSince(trx: Knex, shopId: number, at: string): Promise<void> {
  await trx('shop').where({ id: shopId }).update({ digest_day: at })
}

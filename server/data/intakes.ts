import type { Knex } from 'knex'
import type { Source } from '../../core/intake/sourcePolicy'

/** What one file, page or check of a listing brought in. */
export interface Intake extends IntakeCounts {
  id: number
  shopId: number
  publicId: string
  source: Source
  /** The file or site; empty if there is none. */
  origin: string
  memberId: number | null
  createdAt: string
  undone: boolean
}

export interface IntakeCounts {
  stored: number
  /** Already stored, and unchanged. */
  known: number
  changed: number
  /** Gone from their origin. */
  withdrawn: number
}

const columns = {
  id: 'id',
  shopId: 'shop_id',
  publicId: 'public_id',
  source: 'source',
  origin: 'origin',
  memberId: 'member_id',
  stored: 'stored',
  known: 'known',
  changed: 'changed',
  withdrawn: 'withdrawn',
  createdAt: 'created_at',
  undone: 'undone',
}

export async function insertIntake(
  trx: Knex,
  intake: Pick<Intake, 'shopId' | 'publicId' | 'source' | 'origin' | 'memberId' | 'createdAt'>,
): Promise<Intake> {
  const [id] = await trx('intake').insert({
    shop_id: intake.shopId,
    public_id: intake.publicId,
    source: intake.source,
    origin: intake.origin,
    member_id: intake.memberId,
    created_at: intake.createdAt,
  })
  return { ...intake, id: id!, stored: 0, known: 0, changed: 0, withdrawn: 0, undone: false }
}

export async function findIntake(db: Knex, shopId: number, publicId: string): Promise<Intake | null> {
  const row = await db('intake')
    .where({ shop_id: shopId, public_id: publicId })
    .first<(Omit<Intake, 'undone'> & { undone: 0 | 1 }) | undefined>(columns)
  return row ? { ...row, undone: row.undone === 1 } : null
}

/** Adds to its counts, in the transaction of the reviews. */
export async function countIntake(
  trx: Knex.Transaction,
  id: number,
  counts: Partial<IntakeCounts>,
): Promise<void> {
  const by = Object.entries(counts).filter(([, count]) => count > 0)
  if (by.length === 0) return
  await trx('intake')
    .where({ id })
    .update(Object.fromEntries(by.map(([column, count]) => [column, trx.raw('?? + ?', [column, count])])))
}

export async function setIntakeUndone(trx: Knex.Transaction, id: number, undone: boolean): Promise<void> {
  await trx('intake').where({ id }).update({ undone })
}

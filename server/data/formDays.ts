import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { newRow } from './rows'
import { pick, readAll } from './select'

export interface FormCount {
  opened: number
  begun: number
}

/** Adds to the counts of a form on a day, in UTC. */
export async function countFormDay(
  trx: Knex.Transaction,
  { id, shopId }: { id: number; shopId: number },
  day: string,
  { opened, begun }: FormCount,
): Promise<void> {
  await trx('form_day')
    .insert(newRow(tables.formDay, { formId: id, shopId, day, opened, begun }))
    .onConflict(['form_id', 'day'])
    .merge({
      opened: trx.raw('form_day.opened + excluded.opened'),
      begun: trx.raw('form_day.begun + excluded.begun'),
    })
}

/** The counts of a form by day since a day, in UTC. */
export async function formDays(
  db: Knex,
  formId: number,
  since: string,
): Promise<({ day: string } & FormCount)[]> {
  return readAll(
    db('form_day').where({ form_id: formId }).where('day', '>=', since).orderBy('day'),
    pick(tables.formDay, 'day', 'opened', 'begun'),
  )
}

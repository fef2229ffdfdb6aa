import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { newRow } from './rows'
import { hasRows } from './select'

/** Registers a file for a shop; doing it twice is harmless. */
export async function insertMedia(
  db: Knex,
  media: { shopId: number; name: string; width: number; height: number; createdAt: string },
): Promise<void> {
  await db('media').insert(newRow(tables.media, media)).onConflict(['shop_id', 'name']).merge(['created_at'])
}

/** All columns that can refer to a file. */
const uses = [
  ['photo', 'name'],
  ['photo', 'small'],
  ['photo', 'video'],
  ['pending_photo', 'video'],
  ['pending_photo', 'name'],
  ['pending_photo', 'small'],
  ['review_version', 'portrait'],
  ['review_version', 'company_logo'],
  ['product', 'picture'],
  ['listing', 'picture'],
] as const

function unused(db: Knex, before: string): Knex.QueryBuilder {
  const query = db('media').where('media.created_at', '<', before)
  for (const [table, column] of uses)
    query.whereNotExists(db(table).whereRaw('?? = media.name', [`${table}.${column}`]))
  // Any version of a display can be published again, and any version of a form be filled in. A form has pictures in
  // its texts too, in each language.
  return query
    .whereNotExists(db('display_version').whereRaw("json_extract(configuration, '$.picture') = media.name"))
    .whereNotExists(db('form').whereRaw('instr(form.draft, media.name) > 0'))
    .whereNotExists(db('form_version').whereRaw('instr(form_version.design, media.name) > 0'))
}

/** Files registered before a time that nothing refers to. */
export async function unusedMedia(db: Knex, before: string): Promise<string[]> {
  return unused(db, before).distinct('media.name').pluck('media.name')
}

/** Removes the registrations of an unused file. Returns whether none is left. */
export async function forgetMedia(trx: Knex.Transaction, name: string, before: string): Promise<boolean> {
  await trx('media').whereIn('id', unused(trx, before).where({ name }).select('media.id')).delete()
  return !(await isKnownFile(trx, name))
}

export const isKnownFile = (db: Knex, name: string): Promise<boolean> => hasRows(db('media').where({ name }))

/** Deletes photos of forms that were never sent. */
export async function forgetStaged(db: Knex, before: string): Promise<void> {
  await db('pending_photo').where('uploaded_at', '<', before).delete()
}

import type { Knex } from 'knex'

/** Notes that a picture is one of the shop's; twice is once, noted again. */
export async function insertMedia(
  db: Knex,
  media: { shopId: number; name: string; width: number; height: number; now: string },
): Promise<void> {
  await db('media')
    .insert({
      shop_id: media.shopId,
      name: media.name,
      width: media.width,
      height: media.height,
      created_at: media.now,
    })
    .onConflict(['shop_id', 'name'])
    .merge(['created_at'])
}

/** Everything that may show a picture, by table and column. */
const uses = [
  ['photo', 'name'],
  ['photo', 'small'],
  ['pending_photo', 'name'],
  ['pending_photo', 'small'],
  ['review_version', 'portrait'],
  ['review_version', 'company_logo'],
  ['product', 'picture'],
] as const

function unused(db: Knex, before: string): Knex.QueryBuilder {
  const query = db('media').where('media.created_at', '<', before)
  for (const [table, column] of uses)
    query.whereNotExists(db(table).whereRaw('?? = media.name', [`${table}.${column}`]))
  // Any version of a display can come back.
  return query.whereNotExists(
    db('display_version').whereRaw("json_extract(configuration, '$.picture') = media.name"),
  )
}

/** Names of files that were noted before a moment and that nothing shows. */
export async function unusedMedia(db: Knex, before: string): Promise<string[]> {
  const names: string[] = await unused(db, before).distinct('media.name').pluck('media.name')
  return names
}

/** Takes away the notes of a file that nothing shows; answers whether no other note of it is left. */
export async function forgetMedia(trx: Knex.Transaction, name: string, before: string): Promise<boolean> {
  await trx('media').whereIn('id', unused(trx, before).where({ name }).select('media.id')).delete()
  return !(await isKnownFile(trx, name))
}

/** Whether a file is noted as anybody's. */
export async function isKnownFile(db: Knex, name: string): Promise<boolean> {
  return (await db('media').where({ name }).first('id')) !== undefined
}

/** Forgets photos of forms that were not sent. */
export async function forgetStaged(db: Knex, before: string): Promise<void> {
  await db('pending_photo').where('uploaded_at', '<', before).delete()
}

import type { Knex } from 'knex'

/** Notes that a picture is one of the shop's; twice is once. */
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
    .ignore()
}

import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insertAll } from './rows'
import { pick, readAll, readFirst, type Selected } from './select'

/** A shop with more tags than this searches among them. */
export const MAX_LISTED_TAGS = 50

export type Tag = Selected<typeof columns>
const columns = pick(tables.tag, 'id', 'name')

/** Names of tags that contain some words, those of most reviews first. */
export async function frequentTags(
  db: Knex,
  shopId: number,
  { words = '', limit }: { words?: string; limit: number },
): Promise<string[]> {
  const query = db
    .from(db.raw('tag INDEXED BY tag_by_use'))
    .where({ shop_id: shopId })
    .orderBy([{ column: 'uses', order: 'desc' }, 'name'])
    .limit(limit)
  const wanted = words.trim()
  if (wanted !== '') query.whereRaw('instr(lower(name), lower(?)) > 0', wanted)
  return query.pluck('name')
}

export async function findTag(db: Knex, shopId: number, name: string): Promise<Tag | undefined> {
  return readFirst(db('tag').where({ shop_id: shopId, name }), columns)
}

/** Creates a missing tag. Names that differ only in case are the same tag. */
export async function tagNamed(trx: Knex.Transaction, shopId: number, name: string): Promise<number> {
  await trx('tag').insert({ shop_id: shopId, name }).onConflict(['shop_id', 'name']).ignore()
  return (await findTag(trx, shopId, name))!.id
}

/** The ids of tags, in order. Missing ones are created. */
export async function tagsNamed(trx: Knex.Transaction, shopId: number, names: string[]): Promise<number[]> {
  const ids: number[] = []
  for (const name of names) ids.push(await tagNamed(trx, shopId, name))
  return [...new Set(ids)].sort((a, b) => a - b)
}

export async function tagReview(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  tagIds: number[],
): Promise<void> {
  await insertAll(
    trx,
    tables.reviewTag,
    tagIds.map((tagId) => ({ shopId, tagId, reviewId })),
  )
}

/** The tags of each review. */
export async function tagsOfReviews(
  db: Knex,
  shopId: number,
  reviewIds: number[],
): Promise<Map<number, string[]>> {
  const rows = await readAll(
    db('review_tag')
      .join('tag', 'tag.id', 'review_tag.tag_id')
      .where('review_tag.shop_id', shopId)
      .whereIn('review_tag.review_id', reviewIds)
      .orderBy('tag.name'),
    { reviewId: tables.reviewTag.reviewId, name: tables.tag.name },
  )
  const found = new Map<number, string[]>()
  for (const { reviewId, name } of rows) found.set(reviewId, [...(found.get(reviewId) ?? []), name])
  return found
}

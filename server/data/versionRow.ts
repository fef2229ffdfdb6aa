import type { Knex } from 'knex'
import { keysOf } from '../../core/formats/keysOf'
import { nothingAbout } from '../../core/intake/candidate'
import type { ReviewVersion } from '../../core/intake/review'
import { tables } from './schema/tables'
import { pick, readOne } from './select'

/** What a version says of its writer. */
export const aboutColumns = pick(tables.reviewVersion, ...keysOf(nothingAbout))

const says = {
  ...pick(tables.reviewVersion, 'title', 'body', 'authorName', 'ratingValue', 'ratingScale', 'rating'),
  ...pick(tables.reviewVersion, 'language', 'consentText', 'consentAnswer', 'writtenAt', 'writtenPrecision'),
  ...pick(tables.reviewVersion, 'answers', 'salt'),
}

export async function readVersion(db: Knex, shopId: number, versionId: number): Promise<ReviewVersion> {
  const version = () => db('review_version').where({ shop_id: shopId, id: versionId })
  return { ...(await readOne(version(), says)), about: await readOne(version(), aboutColumns) }
}

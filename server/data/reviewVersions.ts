import type { Knex } from 'knex'
import type { ReviewVersion } from '../../core/intake/review'
import type { Signal } from '../../core/moderation/signal'
import { spamScore } from '../../core/moderation/spamScore'
import { insertPhotos, type PhotoOfVersion } from './photos'
import { signalsOfVersion } from './reviewReading'
import { insertSignals, repeated } from './reviewWriting'
import { tables } from './schema/tables'
import { insert, row, whereOf } from './rows'
import { pick, readOne } from './select'
import { all } from './table'

/** What a later version of a review says. Missing parts stay as in the version before. */
export type NewVersion = Pick<ReviewVersion, 'title' | 'body' | 'authorName' | 'rating' | 'salt'> &
  Partial<ReviewVersion> & { signals: Signal[]; photos: PhotoOfVersion[] }

/** Adds a version. It takes effect with the decision state of the review. Returns its id. */
export async function insertVersion(
  trx: Knex.Transaction,
  shopId: number,
  review: { id: number; versionId: number },
  version: NewVersion,
  now: string,
): Promise<number> {
  const { id: _id, ...kept } = await readOne(
    trx('review_version').where({ id: review.versionId }),
    all(tables.reviewVersion),
  )
  const { signals, photos, about, ...says } = version
  const versionId = await insert(trx, tables.reviewVersion, {
    ...kept,
    ...says,
    ...about,
    number: trx.raw('(SELECT max(number) + 1 FROM review_version WHERE review_id = ?)', [review.id]),
    createdAt: now,
  })
  await insertSignals(trx, shopId, [{ versionId, signals }])
  await insertPhotos(trx, { shopId, reviewId: review.id, versionId }, photos, now)
  return versionId
}

/** Makes a version the current one, with the columns of the review that repeat it for lists and searches. */
export async function setCurrentVersion(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  versionId: number,
): Promise<void> {
  const version = await readOne(
    trx('review_version').where(whereOf(tables.reviewVersion, { shopId, reviewId, id: versionId })),
    pick(tables.reviewVersion, 'title', 'body', 'rating', 'language', 'writtenAt', 'writtenPrecision'),
  )
  await trx('review')
    .where({ shop_id: shopId, id: reviewId })
    .update(
      row(tables.review, {
        currentVersionId: versionId,
        ...repeated(version),
        score: spamScore(await signalsOfVersion(trx, shopId, versionId)),
        photos: trx.raw('(SELECT count(*) FROM version_photo WHERE version_id = ?)', [versionId]),
      }),
    )
}

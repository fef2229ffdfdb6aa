import type { Knex } from 'knex'
import type { ReviewVersion } from '../../core/intake/review'
import type { Signal } from '../../core/moderation/signal'
import { spamScore } from '../../core/moderation/spamScore'
import { insertPhotos, type PhotoOfVersion } from './photos'
import { signalsOfVersion } from './reviewReading'
import { insertSignals } from './reviewWriting'
import { readVersionRow, versionRow, versionSelection } from './versionRow'

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
  const before = await trx('review_version').where({ id: review.versionId }).first<Record<string, unknown>>()
  const { id: _id, ...kept } = before
  const latest = await trx('review_version')
    .where({ review_id: review.id })
    .max({ number: 'number' })
    .first<{ number: number }>()
  const { signals, photos, ...says } = version
  const [versionId] = await trx('review_version').insert({
    ...kept,
    ...versionRow(says),
    number: latest.number + 1,
    created_at: now,
  })
  await insertSignals(trx, shopId, [{ versionId: versionId!, signals }])
  await insertPhotos(trx, { shopId, reviewId: review.id, versionId: versionId! }, photos, now)
  return versionId!
}

/** Makes a version the current one, with the columns of the review that repeat it for lists and searches. */
export async function setCurrentVersion(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  versionId: number,
): Promise<void> {
  const version = await trx('review_version')
    .where({ shop_id: shopId, review_id: reviewId, id: versionId })
    .first<{
      title: string
      body: string
      rating: number | null
      language: string | null
      written_at: string
      written_precision: string
    }>('title', 'body', 'rating', 'language', 'written_at', 'written_precision')
  await trx('review')
    .where({ shop_id: shopId, id: reviewId })
    .update({
      current_version_id: versionId,
      rating: version.rating,
      language: version.language ?? '',
      has_text: `${version.title}${version.body}`.trim() !== '',
      written_at: version.written_at,
      written_precision: version.written_precision,
      score: spamScore(await signalsOfVersion(trx, shopId, versionId)),
      photos: trx('version_photo').where({ version_id: versionId }).count(),
    })
}

export async function readVersion(db: Knex, shopId: number, versionId: number): Promise<ReviewVersion> {
  return readVersionRow(
    await db('review_version').where({ shop_id: shopId, id: versionId }).first(versionSelection),
  )
}

import type { Knex } from 'knex'
import type { Signal } from '../../core/moderation/signal'
import { insertPhotos, type PhotoOfVersion } from './photos'
import { insertSignal } from './reviewWriting'

export interface NewVersion {
  title: string
  body: string
  authorName: string
  rating: number
  ratingValue: number
  language: string | null
  salt: string
  signals: Signal[]
  photos: PhotoOfVersion[]
  score: number
  /** Held back only because the address is not confirmed. */
  unconfirmed: boolean
}

/** Adds a version by the writer. Consent and identity stay as they were. */
export async function addVersion(
  trx: Knex.Transaction,
  shopId: number,
  review: { id: number; versionId: number },
  version: NewVersion,
  now: string,
): Promise<void> {
  const before = await trx('review_version').where({ id: review.versionId }).first<Record<string, unknown>>()
  const { id: _id, ...kept } = before
  const latest = await trx('review_version')
    .where({ review_id: review.id })
    .max({ number: 'number' })
    .first<{ number: number }>()
  const [versionId] = await trx('review_version').insert({
    ...kept,
    number: latest.number + 1,
    title: version.title,
    body: version.body,
    author_name: version.authorName,
    rating_value: version.ratingValue,
    rating_scale: 5,
    rating: version.rating,
    language: version.language,
    salt: version.salt,
    created_at: now,
  })
  for (const signal of version.signals) await insertSignal(trx, shopId, versionId!, signal)
  await insertPhotos(trx, { shopId, reviewId: review.id, versionId: versionId! }, version.photos, now)
  await trx('review')
    .where({ shop_id: shopId, id: review.id })
    .update({
      current_version_id: versionId,
      rating: version.rating,
      language: version.language ?? '',
      has_text: `${version.title}${version.body}`.trim() !== '',
      score: version.score,
      unconfirmed: version.unconfirmed,
    })
}

export async function setShowable(
  trx: Knex,
  shopId: number,
  reviewId: number,
  showable: boolean,
): Promise<void> {
  await trx('review').where({ shop_id: shopId, id: reviewId }).update({ showable })
}

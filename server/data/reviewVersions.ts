import type { Knex } from 'knex'
import type { AboutWriter } from '../../core/intake/candidate'
import type { Signal } from '../../core/moderation/signal'
import { spamScore } from '../../core/moderation/spamScore'
import { insertPhotos, type PhotoOfVersion } from './photos'
import { signalsOfVersion } from './reviewReading'
import { aboutColumns, insertSignal } from './reviewWriting'

/** What a later version of a review contains. Missing parts stay as in the version before. */
export interface NewVersion {
  title: string
  body: string
  authorName: string
  rating: number | null
  ratingValue: number | null
  language: string | null
  salt: string
  about?: AboutWriter
  written?: { at: string; precision: 'moment' | 'day' }
  consent?: { answer: 'refused' | 'stated'; text: string }
  signals: Signal[]
  photos: PhotoOfVersion[]
}

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
  const { about, written, consent } = version
  const [versionId] = await trx('review_version').insert({
    ...kept,
    number: latest.number + 1,
    title: version.title,
    body: version.body,
    author_name: version.authorName,
    rating_value: version.ratingValue,
    rating_scale: version.ratingValue === null ? null : 5,
    rating: version.rating,
    language: version.language,
    salt: version.salt,
    created_at: now,
    ...(about && aboutColumns(about)),
    ...(written && { written_at: written.at, written_precision: written.precision }),
    ...(consent && { consent_answer: consent.answer, consent_text: consent.text }),
  })
  for (const signal of version.signals) await insertSignal(trx, shopId, versionId!, signal)
  await insertPhotos(trx, { shopId, reviewId: review.id, versionId: versionId! }, version.photos, now)
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

/** Everything in a version that the shop can correct, with the parts kept beside it. */
export interface CorrectableVersion {
  title: string
  body: string
  authorName: string
  ratingValue: number | null
  about: AboutWriter
  writtenAt: string
  writtenPrecision: string
}

export async function readVersion(db: Knex, shopId: number, versionId: number): Promise<CorrectableVersion> {
  const {
    seenPublic,
    ...row
  }: Omit<CorrectableVersion, 'about'> & Omit<AboutWriter, 'seenPublic'> & { seenPublic: 0 | 1 } = await db(
    'review_version',
  )
    .where({ shop_id: shopId, id: versionId })
    .first({
      title: 'title',
      body: 'body',
      authorName: 'author_name',
      ratingValue: 'rating_value',
      role: 'author_role',
      company: 'company',
      companyUrl: 'company_url',
      seenUrl: 'seen_url',
      seenPublic: 'seen_public',
      relationship: 'relationship',
      portrait: 'portrait',
      companyLogo: 'company_logo',
      writtenAt: 'written_at',
      writtenPrecision: 'written_precision',
    })
  const { title, body, authorName, ratingValue, writtenAt, writtenPrecision, ...about } = row
  return {
    title,
    body,
    authorName,
    ratingValue,
    writtenAt,
    writtenPrecision,
    about: { ...about, seenPublic: seenPublic === 1 },
  }
}

import type { Knex } from 'knex'
import { z } from 'zod'
import type { Photo } from '../../core/intake/candidate'
import { tables } from './schema/tables'
import { insert, newRow, whereOf } from './rows'
import { pick, readAll, readFirst, readOne, value, type Selected } from './select'
import { all, type Part } from './table'

/** A photo of a form that is not sent yet. */
export interface PendingPhoto extends Omit<Photo, 'alt'> {
  key: string
}

export type ReviewPhoto = Selected<typeof reviewPhoto>
const { shopId: _shop, reviewId: _review, createdAt: _created, ...reviewPhoto } = all(tables.photo)

export async function insertPendingPhoto(
  db: Knex,
  form: { id: number; shopId: number },
  stored: PendingPhoto,
  { network, bytes, now }: { network: string; bytes: number; now: string },
): Promise<void> {
  const of = { shopId: form.shopId, formId: form.id }
  await insert(db, tables.pendingPhoto, { ...stored, ...of, network, bytes, uploadedAt: now })
}

interface Uploads {
  bytes: number
  photos: number
  videos: number
}

/** What a network, a form and its shop have of uploads whose forms are not sent. */
export async function pendingUploads(
  db: Knex,
  form: { id: number; shopId: number },
  network: string,
): Promise<Record<'network' | 'form' | 'shop', Uploads>> {
  const counted = (of: Part<typeof tables.pendingPhoto>): Promise<Uploads> =>
    readOne(db('pending_photo').where(whereOf(tables.pendingPhoto, of)), {
      bytes: value(z.number(), db.raw('ifnull(sum(bytes), 0)')),
      photos: value(z.number(), db.raw('count(*)')),
      videos: value(z.number(), db.raw('count(video)')),
    })
  return {
    network: await counted({ network }),
    form: await counted({ formId: form.id }),
    shop: await counted({ shopId: form.shopId }),
  }
}

/** Adds to the bytes that are kept for an upload. */
export async function addPendingBytes(
  db: Knex,
  form: { id: number },
  key: string,
  bytes: number,
): Promise<void> {
  await db('pending_photo').where({ form_id: form.id, key }).increment('bytes', bytes)
}

/** The files of a folder that no unsent form refers to. */
export async function withoutPendingForm(db: Knex, names: string[]): Promise<string[]> {
  const used = new Set<string>()
  for (const column of ['name', 'small', 'video'] as const)
    for (const name of await db('pending_photo').whereIn(column, names).pluck<string[]>(column))
      used.add(name)
  return names.filter((name) => !used.has(name))
}

export async function setPendingVideo(
  db: Knex,
  form: { id: number },
  key: string,
  video: { video: string; seconds: number },
): Promise<void> {
  await db('pending_photo').where({ form_id: form.id, key }).update(video)
}

export async function findPendingPhotos(db: Knex, formId: number, keys: string[]): Promise<PendingPhoto[]> {
  return readAll(
    db('pending_photo').where({ form_id: formId }).whereIn('key', keys),
    pick(tables.pendingPhoto, 'key', 'name', 'small', 'width', 'height', 'video', 'seconds'),
  )
}

/** The photos of a version: ids of earlier ones, and new ones. */
export type PhotoOfVersion = { id: number } | (Photo & { publicId: string; key: string })

/** Assigns photos to a version in their order. Pending ones become photos of the review. */
export async function insertPhotos(
  trx: Knex.Transaction,
  { shopId, reviewId, versionId }: { shopId: number; reviewId: number; versionId: number },
  photos: PhotoOfVersion[],
  now: string,
): Promise<void> {
  for (const [position, photo] of photos.entries()) {
    const photoId = 'id' in photo ? photo.id : await insertPhoto(trx, shopId, reviewId, photo, now)
    await trx('version_photo').insert(newRow(tables.versionPhoto, { shopId, versionId, position, photoId }))
  }
  await trx('review').where({ shop_id: shopId, id: reviewId }).update({ photos: photos.length })
}

async function insertPhoto(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  { key, ...photo }: Photo & { publicId: string; key: string },
  now: string,
): Promise<number> {
  const id = await insert(trx, tables.photo, { ...photo, shopId, reviewId, createdAt: now })
  await trx('pending_photo').where({ shop_id: shopId, key }).delete()
  return id
}

/** The photos of a version, in order. */
export async function photosOfVersion(db: Knex, shopId: number, versionId: number): Promise<ReviewPhoto[]> {
  return readAll(
    db('version_photo')
      .join('photo', 'photo.id', 'version_photo.photo_id')
      .where(whereOf(tables.versionPhoto, { shopId, versionId }))
      .orderBy('version_photo.position'),
    reviewPhoto,
  )
}

/** All photos of a review, of any version. */
export async function photosOfReview(
  db: Knex,
  shopId: number,
  reviewId: number,
): Promise<{ id: number; publicId: string; declined: boolean }[]> {
  return readAll(
    db('photo').where(whereOf(tables.photo, { shopId, reviewId })),
    pick(tables.photo, 'id', 'publicId', 'declined'),
  )
}

/** Ids of the hidden photos of a review. */
export async function declinedPhotos(db: Knex, reviewId: number): Promise<number[]> {
  return db('photo').where({ review_id: reviewId, declined: true }).orderBy('id').pluck('id')
}

export async function setDeclined(
  trx: Knex.Transaction,
  reviewId: number,
  ids: number[],
  declined: boolean,
): Promise<void> {
  if (ids.length > 0)
    await trx('photo').where({ review_id: reviewId }).whereIn('id', ids).update({ declined })
}

/** Sets the description of a photo. Returns the id of the review; null if there is no such photo. */
export async function setAlt(
  db: Knex,
  shopId: number,
  { review, photo }: { review: string; photo: string },
  alt: string,
): Promise<number | null> {
  const query = db('photo')
    .where({ shop_id: shopId, public_id: photo })
    .whereIn('review_id', db('review').where({ shop_id: shopId, public_id: review }).select('id'))
  const found = await readFirst(query, pick(tables.photo, 'id', 'reviewId'))
  if (!found) return null
  await db('photo').where({ id: found.id }).update({ alt })
  return found.reviewId
}

import type { Knex } from 'knex'
import type { Photo } from '../../core/intake/candidate'

/** A photo of a form that is not sent yet. */
export interface PendingPhoto extends Omit<Photo, 'alt'> {
  key: string
}

export interface ReviewPhoto extends Photo {
  id: number
  publicId: string
  /** Hidden from visitors. */
  declined: boolean
}

export async function insertPendingPhoto(
  db: Knex,
  form: { id: number; shopId: number },
  stored: PendingPhoto,
  { network, bytes, now }: { network: string; bytes: number; now: string },
): Promise<void> {
  const of = { shop_id: form.shopId, form_id: form.id }
  await db('pending_photo').insert({ ...stored, ...of, network, bytes, uploaded_at: now })
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
  const counted = async (query: Knex.QueryBuilder): Promise<Uploads> =>
    query.first<Uploads>(
      db.raw('ifnull(sum(bytes), 0) AS bytes'),
      db.raw('count(*) AS photos'),
      db.raw('count(video) AS videos'),
    )
  return {
    network: await counted(db('pending_photo').where({ network })),
    form: await counted(db('pending_photo').where({ form_id: form.id })),
    shop: await counted(db('pending_photo').where({ shop_id: form.shopId })),
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
  return db('pending_photo')
    .where({ form_id: formId })
    .whereIn('key', keys)
    .select('key', 'name', 'small', 'width', 'height', 'video', 'seconds')
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
    await trx('version_photo').insert({
      shop_id: shopId,
      version_id: versionId,
      position,
      photo_id: photoId,
    })
  }
  await trx('review').where({ shop_id: shopId, id: reviewId }).update({ photos: photos.length })
}

async function insertPhoto(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  {
    key,
    publicId,
    name,
    small,
    width,
    height,
    alt,
    video,
    seconds,
  }: Photo & { publicId: string; key: string },
  now: string,
): Promise<number> {
  const [id] = await trx('photo').insert({
    shop_id: shopId,
    review_id: reviewId,
    public_id: publicId,
    name,
    small,
    width,
    height,
    alt,
    video,
    seconds,
    created_at: now,
  })
  await trx('pending_photo').where({ shop_id: shopId, key }).delete()
  return id!
}

/** The photos of a version, in order. */
export async function photosOfVersion(db: Knex, shopId: number, versionId: number): Promise<ReviewPhoto[]> {
  const rows: (Omit<ReviewPhoto, 'declined'> & { declined: 0 | 1 })[] = await db('version_photo')
    .join('photo', 'photo.id', 'version_photo.photo_id')
    .where({ 'version_photo.shop_id': shopId, 'version_photo.version_id': versionId })
    .orderBy('version_photo.position')
    .select({
      id: 'photo.id',
      publicId: 'photo.public_id',
      name: 'photo.name',
      small: 'photo.small',
      width: 'photo.width',
      height: 'photo.height',
      alt: 'photo.alt',
      video: 'photo.video',
      seconds: 'photo.seconds',
      declined: 'photo.declined',
    })
  return rows.map((row) => ({ ...row, declined: row.declined === 1 }))
}

/** All photos of a review, of any version. */
export async function photosOfReview(
  db: Knex,
  shopId: number,
  reviewId: number,
): Promise<{ id: number; publicId: string; declined: boolean }[]> {
  const rows: { id: number; publicId: string; declined: 0 | 1 }[] = await db('photo')
    .where({ shop_id: shopId, review_id: reviewId })
    .select({ id: 'id', publicId: 'public_id', declined: 'declined' })
  return rows.map((row) => ({ ...row, declined: row.declined === 1 }))
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

/** Sets the description of a photo. Returns false if the review has no such photo. */
/** Returns the id of the review; null if there is no such photo. */
export async function setAlt(
  db: Knex,
  shopId: number,
  { review, photo }: { review: string; photo: string },
  alt: string,
): Promise<number | null> {
  const found = await db('photo')
    .where({ shop_id: shopId, public_id: photo })
    .whereIn('review_id', db('review').where({ shop_id: shopId, public_id: review }).select('id'))
    .first<{ id: number; reviewId: number } | undefined>({ id: 'id', reviewId: 'review_id' })
  if (!found) return null
  await db('photo').where({ id: found.id }).update({ alt })
  return found.reviewId
}

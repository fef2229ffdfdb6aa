import type { Knex } from 'knex'
import { comparedSources } from '../../core/intake/sourcePolicy'
import {
  FINGERPRINT_MODEL,
  fingerprintFrom,
  type Fingerprint,
  type Imprint,
} from '../../core/moderation/memory/fingerprint'
import { ownTraitNames } from '../../core/moderation/memory/traits'
import { tables } from './schema/tables'
import { newRow } from './rows'
import { maybe, orEmpty, pick, readAll, readFirst } from './select'

/** The stored part of a fingerprint. The rest is read from the review and its customer. */
export interface StoredImprint {
  traits: string
  triples: Uint8Array
  words: Uint8Array
}

export const storedImprint = ({ traits, triples, words }: Imprint): StoredImprint => ({
  traits: traits.join(' '),
  triples: bytesOf(triples),
  words: bytesOf(words),
})
const bytesOf = ({ buffer, byteOffset, byteLength }: Int32Array) =>
  new Uint8Array(buffer, byteOffset, byteLength)

const readImprint = ({ traits, triples, words }: StoredImprint): Imprint => ({
  traits: ownTraitNames.filter((name) => traits.split(' ').includes(name)),
  triples: numbersOf(triples),
  words: numbersOf(words),
})
// A typed array of 32-bit numbers needs aligned bytes; those of a row may not be.
const numbersOf = (bytes: Uint8Array) => new Int32Array(new Uint8Array(bytes).buffer)

export async function insertImprints(
  trx: Knex,
  shopId: number,
  rows: ({ reviewId: number } & StoredImprint)[],
): Promise<void> {
  await trx('fingerprint')
    .insert(
      rows.map(({ triples, words, ...given }) =>
        newRow(tables.fingerprint, {
          ...given,
          shopId,
          model: FINGERPRINT_MODEL,
          triples: Buffer.from(triples),
          words: Buffer.from(words),
        }),
      ),
    )
    .onConflict('review_id')
    .merge()
}

/** The first review id that is still compared: the newest N, none older than a time. */
export async function firstRemembered(
  db: Knex,
  shopId: number,
  { most, since }: { most: number; since: string },
): Promise<number> {
  const ofShop = () => db('review').where({ shop_id: shopId })
  const { id } = tables.review
  const byNumber = await readFirst(
    ofShop().whereIn('source', comparedSources).orderBy('id', 'desc').offset(most),
    { id },
  )
  const byAge = await readFirst(ofShop().where('received_at', '>=', since).orderBy('received_at'), { id })
  return Math.max(byNumber ? byNumber.id + 1 : 0, byAge?.id ?? Number.MAX_SAFE_INTEGER)
}

export interface RememberedArrival {
  reviewId: number
  /** Null if nothing is stored or an earlier model stored it. */
  fingerprint: Fingerprint | null
}

/** A batch of a shop's arrivals with their stored fingerprints, oldest first, after a review id. */
export async function rememberedArrivals(
  db: Knex,
  shopId: number,
  after: number,
  limit: number,
): Promise<RememberedArrival[]> {
  const query = db('review')
    .join('review_version', (join) =>
      join.on('review_version.review_id', 'review.id').andOn('review_version.number', db.raw('1')),
    )
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('fingerprint', 'fingerprint.review_id', 'review.id')
    .where({ 'review.shop_id': shopId })
    .whereIn('review.source', comparedSources)
    .where('review.id', '>', after)
    .orderBy('review.id')
    .limit(limit)
  const rows = await readAll(query, {
    reviewId: tables.review.id,
    id: tables.review.publicId,
    ...pick(tables.review, 'ip', 'receivedAt'),
    authorName: tables.reviewVersion.authorName,
    authorEmail: orEmpty(db, tables.customer.address),
    product: orEmpty(db, tables.product.sku),
    ...pick(tables.fingerprint, 'traits', 'triples', 'words'),
    model: maybe(tables.fingerprint.model),
  })
  return rows.map(({ reviewId, model, traits, triples, words, ...arriving }) => ({
    reviewId,
    fingerprint:
      model === FINGERPRINT_MODEL ? fingerprintFrom(arriving, readImprint({ traits, triples, words })) : null,
  }))
}

import type { Knex } from 'knex'
import { comparedSources } from '../../core/intake/sourcePolicy'
import type { Arriving } from '../../core/moderation/memory/arrival'
import {
  FINGERPRINT_MODEL,
  fingerprintFrom,
  type Fingerprint,
  type Imprint,
} from '../../core/moderation/memory/fingerprint'
import { ownTraitNames } from '../../core/moderation/memory/traits'

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
      rows.map(({ reviewId, traits, triples, words }) => ({
        review_id: reviewId,
        shop_id: shopId,
        model: FINGERPRINT_MODEL,
        traits,
        triples: Buffer.from(triples),
        words: Buffer.from(words),
      })),
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
  const byNumber: { id: number } | undefined = await db('review')
    .where({ shop_id: shopId })
    .whereIn('source', comparedSources)
    .orderBy('id', 'desc')
    .offset(most)
    .first('id')
  const byAge: { id: number } | undefined = await db('review')
    .where({ shop_id: shopId })
    .where('received_at', '>=', since)
    .orderBy('received_at')
    .first('id')
  return Math.max(byNumber ? byNumber.id + 1 : 0, byAge?.id ?? Number.MAX_SAFE_INTEGER)
}

export interface RememberedArrival {
  reviewId: number
  /** Null if nothing is stored or an earlier model stored it. */
  fingerprint: Fingerprint | null
}

type Row = Pick<Arriving, 'id' | 'authorName' | 'authorEmail' | 'ip' | 'receivedAt' | 'product'> &
  StoredImprint & { reviewId: number; model: number | null }

/** A batch of a shop's arrivals with their stored fingerprints, oldest first, after a review id. */
export async function rememberedArrivals(
  db: Knex,
  shopId: number,
  after: number,
  limit: number,
): Promise<RememberedArrival[]> {
  const rows: Row[] = await db('review')
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
    .select({
      reviewId: 'review.id',
      id: 'review.public_id',
      authorName: 'review_version.author_name',
      authorEmail: db.raw("ifnull(customer.address, '')"),
      ip: 'review.ip',
      receivedAt: 'review.received_at',
      product: db.raw("ifnull(product.sku, '')"),
      model: 'fingerprint.model',
      traits: 'fingerprint.traits',
      triples: 'fingerprint.triples',
      words: 'fingerprint.words',
    })
  return rows.map(({ reviewId, model, traits, triples, words, ...arriving }) => ({
    reviewId,
    fingerprint:
      model === FINGERPRINT_MODEL ? fingerprintFrom(arriving, readImprint({ traits, triples, words })) : null,
  }))
}

import type { Knex } from 'knex'
import { MOST_OPTIONS, OPTION_LIMIT } from '../../core/form/choices'
import type { Answer } from '../../core/intake/answer'
import type { Review, ReviewVersion } from '../../core/intake/review'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { MODEL, type Signal } from '../../core/moderation/signal'
import type { ArrivalState } from '../../core/moderation/rules'
import type { ProofMethod } from '../../core/proof/matchOrder'
import { insertPhotos, type PhotoOfVersion } from './photos'
import { indexInserted } from './reviewIndexes'
import { tables } from './schema/tables'
import { insert, insertAll, newRow, nextId, row } from './rows'
import { pick, readAll } from './select'
import type { NewRow } from './table'

export interface NewReview extends Pick<
  Review,
  | 'publicId'
  | 'source'
  | 'showable'
  | 'unconfirmed'
  | 'proofFailure'
  | 'claimedOrder'
  | 'score'
  | 'receivedAt'
  | 'productId'
  | 'note'
  | 'customerLanguage'
> {
  state: ArrivalState
  formId: number | null
  tokenHash: string | null
  intakeId: number | null
  listingId: number | null
  origin: string
  externalKey: string | null
  proof: { lineId: number; method: ProofMethod } | null
  ip: string
  fillSeconds: number | null
  customer: NewCustomer | null
  version: ReviewVersion
  signals: Signal[]
  photos: PhotoOfVersion[]
}

interface NewCustomer {
  publicId: string
  address: string
}

export interface ReviewIds {
  reviewId: number
  versionId: number
}

/** Stores reviews with their first versions, verifications and signals, by a few statements for all of them. */
export async function insertReviews(
  trx: Knex.Transaction,
  shopId: number,
  reviews: NewReview[],
): Promise<ReviewIds[]> {
  if (reviews.length === 0) return []
  const firstId = await nextId(trx, tables.review)
  const firstVersionId = await nextId(trx, tables.reviewVersion)
  const ids = reviews.map((_, i) => ({ reviewId: firstId + i, versionId: firstVersionId + i }))
  const customers = await customersByEmail(trx, shopId, reviews)
  await insertAll(
    trx,
    tables.review,
    reviews.map((review, i) => reviewRow(shopId, review, ids[i]!, customers)),
  )
  await insertAll(
    trx,
    tables.reviewVersion,
    reviews.map(({ version: { about, ...says }, receivedAt }, i) => ({
      id: ids[i]!.versionId,
      shopId,
      reviewId: ids[i]!.reviewId,
      number: 1,
      ...says,
      ...about,
      createdAt: receivedAt,
    })),
  )
  await insertAll(
    trx,
    tables.reviewAnswer,
    reviews.flatMap(({ version }, i) =>
      answerLines(version.answers).map((line) => ({ ...line, shopId, reviewId: ids[i]!.reviewId })),
    ),
  )
  for (const [i, { proof, photos, receivedAt }] of reviews.entries()) {
    if (proof) await insertProof(trx, shopId, ids[i]!.reviewId, proof, receivedAt)
    if (photos.length > 0) await insertPhotos(trx, { shopId, ...ids[i]! }, photos, receivedAt)
  }
  await insertSignals(
    trx,
    shopId,
    reviews.map(({ signals }, i) => ({ versionId: ids[i]!.versionId, signals })),
  )
  await indexInserted(trx, { from: firstId, to: firstId + reviews.length - 1 })
  return ids
}

/** Each line of the answers to questions of forms that can be an option, once. */
function answerLines(answers: Answer[]): { question: string; value: string }[] {
  return answers.flatMap(({ question, value }) =>
    question === undefined
      ? []
      : [...new Set(value.split('\n'))]
          .filter((line) => line !== '' && line.length <= OPTION_LIMIT)
          .slice(0, MOST_OPTIONS)
          .map((line) => ({ question, value: line })),
  )
}

function reviewRow(
  shopId: number,
  review: NewReview,
  { reviewId, versionId }: ReviewIds,
  customers: Map<string, number>,
): NewRow<typeof tables.review> {
  const { version, customer, proof, signals: _signals, photos: _photos, ...stored } = review
  const approved = review.state === 'approved'
  return {
    ...stored,
    id: reviewId,
    shopId,
    customerId: customer && customers.get(emailKeyOf(customer))!,
    arrivalState: review.state,
    currentVersionId: versionId,
    publishedVersionId: approved ? versionId : null,
    publishedAt: approved ? review.receivedAt : null,
    ...repeated(version),
    verified: proof !== null,
    inAverages: sourcePolicies[review.source].inAverages,
  }
}

/** What a review repeats of its current version, for lists and searches. */
export const repeated = ({
  title,
  body,
  rating,
  language,
  writtenAt,
  writtenPrecision,
}: Pick<ReviewVersion, 'title' | 'body' | 'rating' | 'language' | 'writtenAt' | 'writtenPrecision'>) => ({
  rating,
  language: language ?? '',
  hasText: `${title}${body}`.trim() !== '',
  writtenAt,
  writtenPrecision,
})

/** Stores the order line that verifies a purchase. */
export async function insertProof(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  proof: { lineId: number; method: ProofMethod },
  now: string,
): Promise<void> {
  await insert(trx, tables.verification, {
    shopId,
    reviewId,
    method: proof.method,
    purchaseLineId: proof.lineId,
    createdAt: now,
  })
}

const emailKeyOf = ({ address }: NewCustomer) => address.trim().toLowerCase()

/** The ids of customers by email address. Missing ones are created. */
async function customersByEmail(
  trx: Knex.Transaction,
  shopId: number,
  reviews: Pick<NewReview, 'customer' | 'receivedAt'>[],
): Promise<Map<string, number>> {
  const rows = new Map(
    reviews.flatMap(({ customer, receivedAt }) =>
      customer ? [[emailKeyOf(customer), { customer, receivedAt }]] : [],
    ),
  )
  if (rows.size === 0) return new Map()
  await trx('customer')
    .insert(
      [...rows].map(([emailKey, { customer, receivedAt }]) =>
        newRow(tables.customer, { ...customer, shopId, emailKey, createdAt: receivedAt }),
      ),
    )
    .onConflict(['shop_id', 'email_key'])
    .ignore()
  const found = await readAll(
    trx('customer')
      .where({ shop_id: shopId })
      .whereIn('email_key', [...rows.keys()]),
    pick(tables.customer, 'id', 'emailKey'),
  )
  return new Map(found.map(({ id, emailKey }) => [emailKey, id]))
}

/** Assigns a review to a customer by email address. */
export async function setCustomer(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  customer: NewCustomer,
  now: string,
): Promise<void> {
  const ids = await customersByEmail(trx, shopId, [{ customer, receivedAt: now }])
  await trx('review')
    .where({ shop_id: shopId, id: reviewId })
    .update(row(tables.review, { customerId: ids.get(emailKeyOf(customer))! }))
}

export async function setUnconfirmed(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  unconfirmed: boolean,
): Promise<void> {
  await trx('review').where({ shop_id: shopId, id: reviewId }).update(row(tables.review, { unconfirmed }))
}

/** Stores the signals of versions. */
export async function insertSignals(
  trx: Knex.Transaction,
  shopId: number,
  versions: { versionId: number; signals: Signal[] }[],
): Promise<void> {
  const all = versions.flatMap(({ versionId, signals }) => signals.map((signal) => ({ versionId, signal })))
  if (all.length === 0) return
  const firstId = await nextId(trx, tables.signal)
  await insertAll(
    trx,
    tables.signal,
    all.map(({ versionId, signal: { places: _, ...signal } }, i) => ({
      ...signal,
      id: firstId + i,
      shopId,
      versionId,
      model: MODEL,
    })),
  )
  await insertAll(
    trx,
    tables.signalPlace,
    all.flatMap(({ signal }, i) =>
      signal.places.map((place) => ({ ...place, shopId, signalId: firstId + i })),
    ),
  )
}

/** Replaces the signals and score of a review. */
export async function setScore(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  score: number,
): Promise<void> {
  await trx('review').where({ shop_id: shopId, id: reviewId }).update({ score })
}

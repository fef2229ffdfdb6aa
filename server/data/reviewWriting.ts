import type { Knex } from 'knex'
import { MOST_OPTIONS, OPTION_LIMIT } from '../../core/form/choices'
import type { Answer } from '../../core/intake/answer'
import type { Review, ReviewVersion } from '../../core/intake/review'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { MODEL, type Signal } from '../../core/moderation/signal'
import type { ArrivalState } from '../../core/moderation/rules'
import type { ProofMethod } from '../../core/proof/matchOrder'
import { insertRows, nextIds } from './insertRows'
import { insertPhotos, type PhotoOfVersion } from './photos'
import { indexInserted } from './reviewIndexes'
import { versionRow } from './versionRow'

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
  const first = await nextIds(trx, 'review', 'review_version')
  const ids = reviews.map((_, i) => ({ reviewId: first.review + i, versionId: first.review_version + i }))
  const customers = await customersByEmail(trx, shopId, reviews)
  await insertRows(
    trx,
    'review',
    reviews.map((review, i) => reviewRow(shopId, review, ids[i]!, customers)),
  )
  await insertRows(
    trx,
    'review_version',
    reviews.map(({ version, receivedAt }, i) => ({
      id: ids[i]!.versionId,
      shop_id: shopId,
      review_id: ids[i]!.reviewId,
      number: 1,
      ...versionRow(version),
      created_at: receivedAt,
    })),
  )
  await insertRows(
    trx,
    'review_answer',
    reviews.flatMap(({ version }, i) =>
      answerLines(version.answers).map((line) => ({ ...line, shop_id: shopId, review_id: ids[i]!.reviewId })),
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
  await indexInserted(trx, { from: first.review, to: first.review + reviews.length - 1 })
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
) {
  const { version } = review
  const approved = review.state === 'approved'
  return {
    id: reviewId,
    shop_id: shopId,
    public_id: review.publicId,
    source: review.source,
    form_id: review.formId,
    token_hash: review.tokenHash,
    intake_id: review.intakeId,
    listing_id: review.listingId,
    origin: review.origin,
    external_key: review.externalKey,
    product_id: review.productId,
    customer_id: review.customer && customers.get(emailKeyOf(review.customer))!,
    state: review.state,
    arrival_state: review.state,
    current_version_id: versionId,
    published_version_id: approved ? versionId : null,
    published_at: approved ? review.receivedAt : null,
    rating: version.rating,
    showable: review.showable,
    verified: review.proof !== null,
    unconfirmed: review.unconfirmed,
    proof_failure: review.proofFailure,
    claimed_order: review.claimedOrder,
    score: review.score,
    ip: review.ip,
    fill_seconds: review.fillSeconds,
    received_at: review.receivedAt,
    written_at: version.writtenAt,
    written_precision: version.writtenPrecision,
    in_averages: sourcePolicies[review.source].inAverages,
    note: review.note,
    customer_language: review.customerLanguage,
    language: version.language ?? '',
    has_text: `${version.title}${version.body}`.trim() !== '',
  }
}

/** Stores the order line that verifies a purchase. */
export async function insertProof(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  proof: { lineId: number; method: ProofMethod },
  now: string,
): Promise<void> {
  await trx('verification').insert({
    shop_id: shopId,
    review_id: reviewId,
    method: proof.method,
    purchase_line_id: proof.lineId,
    created_at: now,
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
      [...rows].map(([emailKey, { customer, receivedAt }]) => ({
        shop_id: shopId,
        public_id: customer.publicId,
        email_key: emailKey,
        address: customer.address,
        created_at: receivedAt,
      })),
    )
    .onConflict(['shop_id', 'email_key'])
    .ignore()
  const found: { id: number; emailKey: string }[] = await trx('customer')
    .where({ shop_id: shopId })
    .whereIn('email_key', [...rows.keys()])
    .select({ id: 'id', emailKey: 'email_key' })
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
    .update({ customer_id: ids.get(emailKeyOf(customer)) })
}

export async function setUnconfirmed(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  unconfirmed: boolean,
): Promise<void> {
  await trx('review').where({ shop_id: shopId, id: reviewId }).update({ unconfirmed })
}

/** Stores the signals of versions. */
export async function insertSignals(
  trx: Knex.Transaction,
  shopId: number,
  versions: { versionId: number; signals: Signal[] }[],
): Promise<void> {
  const all = versions.flatMap(({ versionId, signals }) => signals.map((signal) => ({ versionId, signal })))
  if (all.length === 0) return
  const { signal: firstId } = await nextIds(trx, 'signal')
  await insertRows(
    trx,
    'signal',
    all.map(({ versionId, signal }, i) => ({
      id: firstId + i,
      shop_id: shopId,
      version_id: versionId,
      model: MODEL,
      kind: signal.kind,
      points: signal.points,
      headline: signal.headline,
      detail: signal.detail,
    })),
  )
  await insertRows(
    trx,
    'signal_place',
    all.flatMap(({ signal }, i) =>
      signal.places.map(({ field, start, end }) => ({
        shop_id: shopId,
        signal_id: firstId + i,
        field,
        start,
        end,
      })),
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

import type { CustomerLanguage } from '../../core/messages/customers/languages'
import type { Knex } from 'knex'
import type { AboutWriter, Candidate } from '../../core/intake/candidate'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { MODEL, type Signal } from '../../core/moderation/signal'
import type { ArrivalState } from '../../core/moderation/rules'
import type { ProofFailure, ProofMethod } from '../../core/proof/matchOrder'
import { insertPhotos, type PhotoOfVersion } from './photos'

export interface NewReview {
  publicId: string
  shopId: number
  source: Candidate['source']
  formId: number | null
  memberId: number | null
  tokenHash: string | null
  productId: number | null
  state: ArrivalState
  showable: boolean
  proof: { lineId: number; method: ProofMethod } | null
  /** Held back only for reasons that its writer can remove. */
  unconfirmed: boolean
  proofFailure: ProofFailure | null
  claimedOrder: string
  score: number
  ip: string
  fillSeconds: number | null
  receivedAt: string
  written: { at: string; precision: 'moment' | 'day' }
  note: string
  /** The language of the form; null if unknown. */
  customerLanguage: CustomerLanguage | null
  customer: { publicId: string; emailKey: string; address: string } | null
  version: {
    title: string
    body: string
    authorName: string
    ratingValue: number | null
    ratingScale: number | null
    rating: number | null
    language: string | null
    consentText: string
    consentAnswer: Candidate['consent']['answer']
    about: AboutWriter
    salt: string
  }
  signals: Signal[]
  photos: PhotoOfVersion[]
}

/** Stores a review with its first version, verification and signals. Returns its ids. */
export async function insertReview(
  trx: Knex.Transaction,
  review: NewReview,
): Promise<{ reviewId: number; versionId: number }> {
  const { shopId, version, receivedAt } = review
  const customerId = review.customer && (await customerByEmail(trx, shopId, review.customer, receivedAt))
  const [reviewId] = await trx('review').insert({
    shop_id: shopId,
    public_id: review.publicId,
    source: review.source,
    form_id: review.formId,
    token_hash: review.tokenHash,
    product_id: review.productId,
    customer_id: customerId,
    state: review.state,
    arrival_state: review.state,
    rating: version.rating,
    showable: review.showable,
    verified: review.proof !== null,
    unconfirmed: review.unconfirmed,
    proof_failure: review.proofFailure,
    claimed_order: review.claimedOrder,
    score: review.score,
    ip: review.ip,
    fill_seconds: review.fillSeconds,
    received_at: receivedAt,
    written_at: review.written.at,
    written_precision: review.written.precision,
    in_averages: sourcePolicies[review.source].inAverages,
    note: review.note,
    customer_language: review.customerLanguage,
    language: version.language ?? '',
    has_text: `${version.title}${version.body}`.trim() !== '',
  })
  const [versionId] = await trx('review_version').insert({
    shop_id: shopId,
    review_id: reviewId,
    number: 1,
    title: version.title,
    body: version.body,
    author_name: version.authorName,
    rating_value: version.ratingValue,
    rating_scale: version.ratingScale,
    rating: version.rating,
    language: version.language,
    consent_text: version.consentText,
    consent_answer: version.consentAnswer,
    written_at: review.written.at,
    written_precision: review.written.precision,
    ...aboutColumns(version.about),
    salt: version.salt,
    created_at: receivedAt,
  })
  await trx('review')
    .where({ id: reviewId })
    .update({
      current_version_id: versionId,
      ...(review.state === 'approved' && { published_version_id: versionId, published_at: receivedAt }),
    })
  if (review.proof) await insertProof(trx, shopId, reviewId!, review.proof, receivedAt)
  for (const signal of review.signals) await insertSignal(trx, shopId, versionId!, signal)
  const ids = { shopId, reviewId: reviewId!, versionId: versionId! }
  if (review.photos.length > 0) await insertPhotos(trx, ids, review.photos, receivedAt)
  return { reviewId: reviewId!, versionId: versionId! }
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

async function customerByEmail(
  trx: Knex.Transaction,
  shopId: number,
  customer: NonNullable<NewReview['customer']>,
  now: string,
): Promise<number> {
  await trx('customer')
    .insert({
      shop_id: shopId,
      public_id: customer.publicId,
      email_key: customer.emailKey,
      address: customer.address,
      created_at: now,
    })
    .onConflict(['shop_id', 'email_key'])
    .ignore()
  const row = await trx('customer')
    .where({ shop_id: shopId, email_key: customer.emailKey })
    .first<{ id: number }>('id')
  return row.id
}

/** Assigns a review to a customer by email address. */
export async function setCustomer(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  { publicId, address }: { publicId: string; address: string },
  now: string,
): Promise<void> {
  const customer = { publicId, address, emailKey: address.trim().toLowerCase() }
  const customerId = await customerByEmail(trx, shopId, customer, now)
  await trx('review').where({ shop_id: shopId, id: reviewId }).update({ customer_id: customerId })
}

export async function setUnconfirmed(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  unconfirmed: boolean,
): Promise<void> {
  await trx('review').where({ shop_id: shopId, id: reviewId }).update({ unconfirmed })
}

/** The columns for what is known of the writer. */
export const aboutColumns = (about: AboutWriter) => ({
  author_role: about.role,
  company: about.company,
  company_url: about.companyUrl,
  seen_url: about.seenUrl,
  seen_public: about.seenPublic,
  relationship: about.relationship,
  portrait: about.portrait,
  company_logo: about.companyLogo,
})

export async function insertSignal(
  trx: Knex.Transaction,
  shopId: number,
  versionId: number,
  signal: Signal,
): Promise<void> {
  const [signalId] = await trx('signal').insert({
    shop_id: shopId,
    version_id: versionId,
    model: MODEL,
    kind: signal.kind,
    points: signal.points,
    headline: signal.headline,
    detail: signal.detail,
  })
  if (signal.places.length === 0) return
  await trx('signal_place').insert(
    signal.places.map(({ field, start, end }) => ({
      shop_id: shopId,
      signal_id: signalId,
      field,
      start,
      end,
    })),
  )
}

/** Replaces the signals and score of a review. */
export async function setWeight(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  weight: { score: number; unconfirmed: boolean },
): Promise<void> {
  await trx('review').where({ shop_id: shopId, id: reviewId }).update(weight)
}

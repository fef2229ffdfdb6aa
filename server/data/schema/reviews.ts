import { z } from 'zod'
import { answerSchema } from '../../../core/intake/answer'
import { sources, type Source } from '../../../core/intake/sourcePolicy'
import type { CustomerLanguage } from '../../../core/messages/customers/languages'
import { storedStates } from '../../../core/moderation/rules'
import type { ProofFailure } from '../../../core/proof/matchOrder'
import { blob, choice, flag, id, integer, json, real, text } from '../columnDefinition'
import { created, table } from '../table'

export const reviewGroup = table('review_group', {
  id: id(),
  shopId: integer().refers('shop'),
  createdAt: text(),
  holds: flag().initially(true),
})

export const intake = table('intake', {
  id: id(),
  shopId: integer().refers('shop'),
  publicId: text().unique(),
  source: text<Source>(),
  /** The file or site; empty if there is none. */
  origin: text(),
  memberId: integer().refers('member').null(),
  stored: integer().initially(0),
  /** Already stored, and unchanged. */
  known: integer().initially(0),
  changed: integer().initially(0),
  /** Gone from their origin. */
  withdrawn: integer().initially(0),
  undone: flag().initially(false),
  createdAt: text(),
  /** Null for other sources. */
  listingId: integer().refers('listing').null(),
})

export const review = table('review', {
  id: id(),
  shopId: integer().refers('shop'),
  publicId: text().unique(),
  source: choice(...sources),
  formId: integer().refers('form').null(),
  tokenHash: text().unique().null(),
  productId: integer().refers('product').null(),
  customerId: integer().refers('customer').null(),
  state: choice(...storedStates),
  arrivalState: choice('waiting', 'held', 'approved', 'spam'),
  revision: integer().initially(1),
  currentVersionId: integer(),
  publishedVersionId: integer().null(),
  rating: integer().null(),
  showable: flag(),
  verified: flag(),
  proofFailure: text<ProofFailure>().null(),
  claimedOrder: text().initially(''),
  score: integer(),
  receivedAt: text(),
  writtenAt: text(),
  writtenPrecision: choice('moment', 'day', 'month', 'year'),
  publishedAt: text().null(),
  inAverages: flag().initially(true),
  note: text().initially(''),
  language: text().initially(''),
  hasText: flag().initially(true),
  replyId: integer().refers('reply').null(),
  replyDraft: text().initially(''),
  declineReasonId: integer().refers('decline_reason').null(),
  needsReply: flag().generated('rating IS NOT NULL AND rating <= 200 AND reply_id IS NULL'),
  ratingStars: integer().generated('ifnull((rating + 50) / 100 * 100, 0)'),
  productKey: integer().generated('ifnull(product_id, 0)'),
  confirmedAt: text().null(),
  unconfirmed: flag().initially(false),
  ip: text().initially(''),
  fillSeconds: real().null(),
  photos: integer().initially(0),
  groupId: integer().refers('review_group').null(),
  customerLanguage: text<CustomerLanguage>().null(),
  intakeId: integer().refers('intake').null(),
  origin: text().initially(''),
  externalKey: text().null(),
  listingId: integer().refers('listing').null(),
})

export const reviewVersion = table(
  'review_version',
  {
    id: id(),
    shopId: integer().refers('shop'),
    reviewId: integer().refers('review'),
    number: integer(),
    title: text(),
    body: text(),
    authorName: text(),
    ratingValue: real().null(),
    ratingScale: real().null(),
    rating: integer().null(),
    language: text().null(),
    consentText: text(),
    consentAnswer: choice('given', 'refused', 'stated'),
    salt: text(),
    createdAt: text(),
    role: text().initially(''),
    company: text().initially(''),
    companyUrl: text().initially(''),
    seenUrl: text().initially(''),
    relationship: text().initially(''),
    portrait: text().null(),
    companyLogo: text().null(),
    writtenAt: text().initially(''),
    writtenPrecision: choice('moment', 'day', 'month', 'year').initially('moment'),
    seenPublic: flag().initially(false),
    answers: json(z.array(answerSchema)).initially([]),
  },
  { constraints: ['UNIQUE (review_id, number)'] },
)

export const reviewAnswer = table(
  'review_answer',
  {
    shopId: integer().refers('shop'),
    question: text(),
    value: text(),
    reviewId: integer().refers('review'),
  },
  { constraints: ['PRIMARY KEY (question, value, review_id)'], withoutRowId: true },
)

export const photo = table('photo', {
  id: id(),
  shopId: integer().refers('shop'),
  reviewId: integer().refers('review'),
  publicId: text().unique(),
  name: text(),
  small: text(),
  width: integer(),
  height: integer(),
  alt: text(),
  /** Hidden from visitors. */
  declined: flag().initially(false),
  createdAt: text(),
  video: text().null(),
  seconds: real().null(),
})

export const versionPhoto = table(
  'version_photo',
  {
    shopId: integer().refers('shop'),
    versionId: integer().refers('review_version'),
    position: integer(),
    photoId: integer().refers('photo'),
  },
  { constraints: ['PRIMARY KEY (version_id, position)'], withoutRowId: true },
)

export const reply = table('reply', {
  id: id(),
  shopId: integer().refers('shop'),
  reviewId: integer().refers('review'),
  memberId: integer().refers('member'),
  name: text(),
  body: text(),
  postedAt: text(),
})

export const declineReason = table('decline_reason', {
  id: id(),
  shopId: integer().refers('shop'),
  reviewId: integer().refers('review'),
  reason: text(),
})

export const tag = table(
  'tag',
  {
    id: id(),
    shopId: integer().refers('shop'),
    name: text().nocase(),
    uses: integer().initially(0),
  },
  { constraints: ['UNIQUE (shop_id, name)'] },
)

export const reviewTag = table(
  'review_tag',
  {
    shopId: integer().refers('shop'),
    tagId: integer().refers('tag'),
    reviewId: integer().refers('review'),
  },
  { constraints: ['PRIMARY KEY (tag_id, review_id)'], withoutRowId: true },
)

export const savedView = table(
  'saved_view',
  {
    id: id(),
    shopId: integer().refers('shop'),
    publicId: text().unique(),
    name: text(),
    /** The query of the queue's address. */
    query: text(),
  },
  { constraints: ['UNIQUE (shop_id, name)'] },
)

export const verification = table('verification', {
  id: id(),
  shopId: integer().refers('shop'),
  reviewId: integer().refers('review'),
  method: choice('mailbox', 'orderNumber', 'reviewRequest', 'manual'),
  purchaseLineId: integer().refers('purchase_line').null(),
  createdAt: text(),
  memberId: integer().refers('member').null(),
  revokedAt: text().null(),
  reason: text().initially(''),
  revokedBy: integer().refers('member').null(),
  revokedReason: text().initially(''),
})

export const evidence = table('evidence', {
  id: id(),
  shopId: integer().refers('shop'),
  reviewId: integer().refers('review'),
  publicId: text().unique(),
  name: text(),
  kind: choice('png', 'jpeg', 'webp', 'pdf', 'text'),
  addedAt: text(),
  removed: flag().initially(true),
  content: blob(),
})

export const decision = table(
  'decision',
  {
    id: id(),
    shopId: integer().refers('shop'),
    number: integer(),
    act: text(),
    memberId: integer().refers('member').null(),
    reviewId: integer().refers('review').null(),
    displayId: integer().refers('display').null(),
    undoesId: integer().refers('decision').null(),
    before: text(),
    after: text(),
    digest: text(),
    at: text(),
    previousHash: text(),
    hash: text(),
    /** Groups the entries of one action on several reviews. It is not part of the hash. */
    batch: text().null(),
    /** Other actors than members; null for members, and in entries from before actors were stored. */
    actor: text().null(),
  },
  { constraints: ['UNIQUE (shop_id, number)', 'CHECK ((member_id IS NULL) <> (actor IS NULL))'] },
)

/**
 * Reviews: each has versions, which never change, and points at the current and the published one. These two are no
 * foreign keys: they would have to be deferred, and then each new version looks for reviews that point at it.
 */
export const reviews = [
  created(reviewGroup),

  created(intake),
  `CREATE INDEX intake_by_shop ON intake (shop_id, id)`,
  `CREATE INDEX intake_by_listing ON intake (listing_id, id) WHERE listing_id IS NOT NULL`,

  created(review),
  `CREATE INDEX review_by_lane ON review (shop_id, state, id)`,
  `CREATE INDEX review_by_arrival ON review (shop_id, id)`,
  `CREATE INDEX review_by_received ON review (shop_id, received_at, verified)`,
  `CREATE INDEX review_by_form ON review (form_id, received_at)`,
  `CREATE INDEX review_by_customer ON review (customer_id)`,
  `CREATE INDEX review_by_lane_source ON review (shop_id, state, source, id)`,
  `CREATE INDEX review_by_lane_language ON review (shop_id, state, language, id)`,
  `CREATE INDEX review_by_lane_verified ON review (shop_id, state, verified, id)`,
  `CREATE INDEX review_by_lane_score ON review (shop_id, state, score, id)`,
  `CREATE INDEX review_by_lane_received_at ON review (shop_id, state, received_at, id)`,
  `CREATE INDEX review_by_product ON review (product_id)`,
  `CREATE INDEX review_with_ip ON review (received_at) WHERE ip <> ''`,
  `CREATE INDEX review_by_group ON review (group_id, state, id) WHERE group_id IS NOT NULL`,
  `CREATE INDEX review_grouped ON review (shop_id, state, group_id) WHERE group_id IS NOT NULL`,
  `CREATE INDEX review_by_source ON review (shop_id, source, id)`,
  `CREATE INDEX review_by_lane_rating_stars ON review (shop_id, state, rating_stars, id)`,
  `CREATE INDEX review_by_lane_product_key ON review (shop_id, state, product_key, id)`,
  `CREATE INDEX review_by_lane_has_text ON review (shop_id, state, has_text, id)`,
  `CREATE INDEX review_by_lane_needs_reply ON review (shop_id, state, needs_reply, id)`,
  `CREATE UNIQUE INDEX review_by_external_key ON review (shop_id, origin, external_key) WHERE external_key IS NOT NULL`,
  `CREATE INDEX review_by_unconfirmed ON review (shop_id, state) WHERE unconfirmed = 1`,

  created(reviewVersion),
  `CREATE INDEX review_version_by_portrait ON review_version (portrait) WHERE portrait IS NOT NULL`,
  `CREATE INDEX review_version_by_logo ON review_version (company_logo) WHERE company_logo IS NOT NULL`,

  created(reviewAnswer),

  created(photo),
  `CREATE INDEX photo_by_review ON photo (review_id)`,
  `CREATE INDEX photo_by_name ON photo (name)`,
  `CREATE INDEX photo_by_small ON photo (small)`,
  `CREATE INDEX photo_by_video ON photo (video) WHERE video IS NOT NULL`,

  created(versionPhoto),

  created(reply),
  `CREATE INDEX reply_by_review ON reply (review_id)`,

  created(declineReason),
  `CREATE INDEX decline_reason_by_review ON decline_reason (review_id)`,

  created(tag),
  `CREATE INDEX tag_by_use ON tag (shop_id, uses DESC, name)`,

  created(reviewTag),
  `CREATE INDEX review_tag_by_review ON review_tag (review_id)`,
  `CREATE TRIGGER tag_used AFTER INSERT ON review_tag BEGIN
  UPDATE tag SET uses = uses + 1 WHERE id = new.tag_id;
  END`,
  `CREATE TRIGGER tag_unused AFTER DELETE ON review_tag BEGIN
  UPDATE tag SET uses = uses - 1 WHERE id = old.tag_id;
  END`,

  created(savedView),

  created(verification),
  `CREATE INDEX verification_by_review ON verification (review_id)`,
  `CREATE INDEX verification_by_line ON verification (purchase_line_id) WHERE purchase_line_id IS NOT NULL`,

  created(evidence),
  `CREATE INDEX evidence_by_review ON evidence (review_id)`,

  created(decision),
  `CREATE INDEX decision_by_member ON decision (shop_id, member_id, id)`,
  `CREATE UNIQUE INDEX decision_undone_once ON decision (undoes_id) WHERE undoes_id IS NOT NULL`,
  `CREATE INDEX decision_by_batch ON decision (batch) WHERE batch IS NOT NULL`,
  `CREATE INDEX decision_by_review ON decision (review_id, shop_id, number)`,
  `CREATE TRIGGER decision_never_updated BEFORE UPDATE ON decision
  BEGIN SELECT RAISE(ABORT, 'the log is append-only'); END`,
  `CREATE TRIGGER decision_never_deleted BEFORE DELETE ON decision
  BEGIN SELECT RAISE(ABORT, 'the log is append-only'); END`,
]

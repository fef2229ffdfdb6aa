import { z } from 'zod'
import { matchingSchema } from '../../../core/listing/matching'
import type { RefusalCode } from '../../../core/listing/originRefusal'
import { sheetProblemsSchema } from '../../../core/listing/sheetSample'
import { texts } from '../columnKinds'
import { choice, flag, id, integer, json, real, text } from '../columnDefinition'
import { created, table } from '../table'

/** What a check found. */
const foundSchema = z.object({ stored: z.number(), changed: z.number(), withdrawn: z.number() })

export const listing = table('listing', {
  id: id(),
  shopId: integer().refers('shop'),
  publicId: text().unique(),
  /** The site. */
  origin: text(),
  kind: choice('listing', 'post'),
  /** Its id there. */
  externalId: text(),
  name: text(),
  /** Empty for a business without one. */
  street: text(),
  url: text(),
  writeUrl: text().null(),
  /** A file of the shop. */
  picture: text().null(),
  /** As the site states them. */
  average: real().null(),
  scale: integer().null(),
  count: integer().null(),
  /** Only reviews in these; empty for all. */
  languages: texts().initially([]),
  productId: integer().refers('product').null(),
  /** For all its reviews; empty for none. */
  tag: text().initially(''),
  arrivesAs: choice('waiting', 'approved'),
  /** Encrypted. */
  accessKey: text().null(),
  state: choice('active', 'stopped', 'disconnected'),
  /** Why the latest check failed; null after a good one. */
  refusal: text<RefusalCode>().null(),
  refusedAt: text().null(),
  /** Failed checks in a row. */
  failures: integer().initially(0),
  nextCheckAt: text().null(),
  checkedAt: text().null(),
  /** When a check last found something new. */
  changedAt: text().null(),
  /** What the latest successful check found. */
  found: json(foundSchema).null(),
  /** Complete reads so far. */
  reads: integer().initially(0),
  readAt: text().null(),
  /** Where the read in progress continues; null at its start, or if none is in progress. */
  cursor: text().null(),
  /** Reviews of the read in progress; null if none is. */
  readSoFar: integer().null(),
  /** Of the read in progress. */
  intakeId: integer().refers('intake').null(),
  /** Whether the owner has said that missing reviews are really gone. */
  acceptsFewer: flag().initially(false),
  /** When its reviews were removed with it. */
  removedAt: text().null(),
  disconnectedAt: text().null(),
  createdAt: text(),
  /** How the columns of a sheet are used; null for anything else. */
  matching: json(matchingSchema).null(),
  /** Cells of the sheet that could not be read; null for anything else. */
  problems: json(sheetProblemsSchema).null(),
  /** Of what a page said at the latest check, and how many checks in a row it has said so. */
  digest: text().null(),
  digestReads: integer().initially(0),
  /** Whether visitors get a link to it. */
  isLinked: flag().initially(true),
})

export const listingReview = table('listing_review', {
  reviewId: integer().primary().refers('review'),
  shopId: integer().refers('shop'),
  listingId: integer().refers('listing'),
  seenRead: integer(),
  likes: integer().null(),
  claimsVerified: flag(),
})

export const originCall = table(
  'origin_call',
  {
    origin: text().primary(),
    calledAt: json(z.array(z.number())),
    blockedUntil: text().null(),
  },
  { withoutRowId: true },
)

/** The shop’s pages on other sites, and their reviews. */
export const listings = [
  created(listing),
  `CREATE UNIQUE INDEX listing_once ON listing (shop_id, origin, external_id) WHERE state <> 'disconnected'`,

  created(listingReview),
  `CREATE INDEX listing_review_seen ON listing_review (listing_id, seen_read)`,

  created(originCall),
]

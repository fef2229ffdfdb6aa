import type { CustomerLanguage } from '../messages/customers/languages'
import type { ReviewState } from '../moderation/rules'
import type { ProofFailure } from '../proof/matchOrder'
import type { Answer } from './answer'
import type { AboutWriter } from './candidate'
import type { Source } from './sourcePolicy'

/** What is true of a review whatever its versions say. Other shapes are picked from it. */
export interface Review {
  id: number
  publicId: string
  source: Source
  state: ReviewState
  /** Counts its changes, so that the second of two people who decide at once is told. */
  revision: number
  /** Whether visitors may read it. */
  showable: boolean
  /** Whether a purchase is proven. */
  verified: boolean
  /** Why no purchase is proven; null if it is, or if the source doesn't say. */
  proofFailure: ProofFailure | null
  /** The order number as it was typed. */
  claimedOrder: string
  /** Points for spam. */
  score: number
  /** Held back only for reasons that its writer can remove. */
  unconfirmed: boolean
  receivedAt: string
  productId: number | null
  /** The latest version, and the one that visitors see. */
  versionId: number
  publishedVersionId: number | null
  publishedAt: string | null
  /** When its writer confirmed the email address. */
  confirmedAt: string | null
  /** The language of the form; null if unknown. */
  customerLanguage: CustomerLanguage | null
  /** Only members see it. */
  note: string
  /** A low rating without a reply. */
  needsReply: boolean
}

/** Whether the exact time is known, or only the day, month or year. */
export type WrittenPrecision = 'moment' | 'day' | 'month' | 'year'

/** What a version of a review says. Text and names are as they came. */
export interface ReviewVersion {
  title: string
  body: string
  authorName: string
  /** The rating as it was given, and the highest one on its scale; null without a rating. */
  ratingValue: number | null
  ratingScale: number | null
  /** In hundredths of five stars. */
  rating: number | null
  /** Of the text; null if unknown. */
  language: string | null
  consentText: string
  consentAnswer: 'given' | 'refused' | 'stated'
  writtenAt: string
  writtenPrecision: WrittenPrecision
  about: AboutWriter
  /** To questions of the shop. */
  answers: Answer[]
  /** For the digest in the log. */
  salt: string
}

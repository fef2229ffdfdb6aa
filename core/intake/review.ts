import type { AboutWriter } from './candidate'

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
  /** For the digest in the log. */
  salt: string
}

import type { SubmissionChecks } from '../moderation/submissionChecks'
import type { CustomerLanguage } from '../messages/customers/languages'
import type { Writers } from './writers'

/** A review on its source, the same for every source. Words and names are exactly as they came. */
export interface Candidate extends SubmissionChecks {
  source: 'form' | 'manualEntry'
  /** The form it came through; null for other sources. */
  formId: number | null
  /** Kept once by this; null where the source gives none. */
  token: string | null
  /** Who may write this way. */
  writers: Writers
  /** Seconds between the form being handed out and its arrival; null when nobody knows. */
  fillSeconds: number | null
  /** The network address it came from; empty when nobody knows. */
  ip: string
  /** Where it lands unless a rule is stronger. */
  arrivesAs: 'waiting' | 'approved'
  rating: { value: number; scale: number } | null
  title: string
  body: string
  authorName: string
  /** Empty when nobody knows it. */
  authorEmail: string
  orderNumber: string
  productSku: string
  /** When it was written, as an ISO date or moment; null for now. */
  writtenAt: string | null
  consent: { answer: 'given' | 'refused' | 'stated'; text: string }
  about: AboutWriter
  /** Each with the key that it was staged under. */
  photos: (Photo & { key: string })[]
  /** For the shop alone. */
  note: string
  /** The language that its writer read the form in; null where nobody knows. */
  customerLanguage: CustomerLanguage | null
}

/** A photo as it is kept: created again in two sizes, in files named by their content. */
export interface Photo {
  /** The file of the large one, and its size in pixels. */
  name: string
  width: number
  height: number
  /** The file of the small one. */
  small: string
  /** What it shows, for those who can't see it; empty where nobody said. */
  alt: string
}

/** What is known of a writer beside her name; empty where nothing is. */
export interface AboutWriter {
  role: string
  company: string
  companyUrl: string
  /** Where the review can be seen. */
  seenUrl: string
  /** A gift, discount or relationship, told to visitors. */
  relationship: string
  /** Files of pictures; null for none. */
  portrait: string | null
  companyLogo: string | null
}

export const nothingAbout: AboutWriter = {
  role: '',
  company: '',
  companyUrl: '',
  seenUrl: '',
  relationship: '',
  portrait: null,
  companyLogo: null,
}

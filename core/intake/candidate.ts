import { z } from 'zod'
import type { SubmissionChecks } from '../moderation/submissionChecks'
import type { CustomerLanguage } from '../messages/customers/languages'
import type { Answer } from './answer'
import type { EvidenceKind } from './evidence'
import type { Source } from './sourcePolicy'
import type { Writers } from './writers'
import { recordOf } from '../formats/keysOf'
import { writerTextNames, type WriterText } from './writerTexts'

/** A review from any source, before it is checked. Text and names are unchanged. */
export interface Candidate extends SubmissionChecks {
  source: Source
  /** Null for other sources. */
  formId: number | null
  identity: Identity
  writers: Writers
  /** Seconds between opening and sending the form; null if unknown. */
  fillSeconds: number | null
  /** Empty if unknown. */
  ip: string
  /** Unless a rule is stronger. */
  arrivesAs: 'waiting' | 'approved'
  rating: { value: number; scale: number } | null
  title: string
  body: string
  authorName: string
  /** Empty if unknown. */
  authorEmail: string
  orderNumber: string
  productSku: string
  /** ISO date or moment; null is now. */
  writtenAt: string | null
  consent: { answer: 'given' | 'refused' | 'stated'; text: string }
  about: AboutWriter
  /** Uploaded ones with their keys; those of an earlier version with their ids. */
  photos: (Photo & ({ key: string } | { id: number }))[]
  /** Only the shop sees them. */
  note: string
  tags: string[]
  /** To questions of the shop. */
  answers: Answer[]
  /** What its origin says of it; null for other sources. */
  posted: Posted | null
  evidence: { name: string; kind: EvidenceKind; content: Uint8Array }[]
  /** The language in which the form was read; null if unknown. */
  customerLanguage: CustomerLanguage | null
}

/** A review on another site. */
export interface Posted {
  listingId: number
  likes: number | null
  /** Whether the site says that its writer bought. */
  claimsVerified: boolean
}

/** What makes it the same review when it comes again. */
type Identity =
  /** The token of the form. */
  | { by: 'token'; token: string }
  /** The key that its origin gave it, such as a number in a file. */
  | { by: 'externalKey'; origin: string; key: string }
  /** The link by which its writer changes it. */
  | { by: 'review'; id: number }
  | { by: 'nothing' }

/** Two sizes, in files named by their content. */
export const photoSchema = z.object({
  /** The file and pixel size of the large one. */
  name: z.string(),
  width: z.number(),
  height: z.number(),
  /** The file of the small one. */
  small: z.string(),
  /** A description for people who can't see it; may be empty. */
  alt: z.string(),
  /** The file of the video that it is the first picture of, and its length; null for a photo. */
  video: z.string().nullable(),
  seconds: z.number().nullable(),
})
export type Photo = z.infer<typeof photoSchema>

/** Unknown values are empty. */
export interface AboutWriter extends Record<WriterText, string> {
  companyUrl: string
  /** Link to the original. */
  seenUrl: string
  /** Whether visitors see that link. */
  seenPublic: boolean
  portrait: string | null
  companyLogo: string | null
}

/** What a form says of its writer: its fields that are named like the parts of `AboutWriter`. */
export const aboutIn = (fields: object): AboutWriter => ({
  ...nothingAbout,
  ...Object.fromEntries(Object.entries(fields).filter(([name]) => name in nothingAbout)),
})

export const nothingAbout: AboutWriter = {
  ...recordOf(writerTextNames, () => ''),
  companyUrl: '',
  seenUrl: '',
  seenPublic: false,
  portrait: null,
  companyLogo: null,
}

import type { TextBesideName } from '../intake/writerTexts'
import type { Excerpt } from './excerpt'

/** An answer as visitors read it. */
interface ShownAnswer {
  /** Stays the same when the question is worded anew. */
  key: string
  label: string
  value: string
}

/** A review as visitors see it. Hidden and missing values are empty or null. */
export interface Quotation {
  publicId: string
  /** In hundredths of five, also if no rating is shown; null if there is none. */
  rating: number | null
  /** Whether it counts in averages. */
  inAverages: boolean
  /** The date (`YYYY-MM-DD`), also if none is shown; null if unknown. */
  written: string | null
  marks: number | null
  /** The rating as a number, if it is shown that way. */
  numeral: string
  title: string
  words: Excerpt
  name: string
  /** To questions of the shop. */
  answers: ShownAnswer[]
  language: string | null
  /** The name of its language, if it is another than the display's and shown. */
  otherLanguage: string
  product: string | null
  /** For machines and for people. */
  date: { at: string; words: string; isRelative?: true } | null
  /** The verification and its method; null if unverified. */
  proof: { words: string; how: string } | null
  /** A required note, such as that the shop added it. */
  note: string
  /** The texts behind the name that are shown, in order. */
  besideName: { name: TextBesideName; text: string }[]
  company: { name: string; url: string | null; logo: string | null } | null
  /** The address of the writer's picture. */
  portrait: string | null
  /** Addresses of the files of photos. */
  photos: {
    large: string
    small: string
    width: number
    height: number
    alt: string
    /** The address of the video that it is the first picture of; null for a photo. */
    video: string | null
  }[]
  relationship: string
  /** The site that it was posted on, for reading by origin; empty for the shop's own. */
  postedOn: string
  /** Where it was posted, as the display shows it. */
  origin: { words: string; icon: string; claim: string; url: string | null; newTab: boolean } | null
  likes: string
  /** Link to the original. */
  original: { url: string; words: string } | null
  /** The shop's public reply. */
  reply: { name: string; paragraphs: string[] } | null
}

import type { ReadReview } from '../../core/intake/text/readText'
import type { CorrectionView } from '../../server/collection/correctReview'
import { recordOf } from '../../core/formats/keysOf'
import { writerTextNames, type WriterText } from '../../core/intake/writerTexts'

/** The values of the fields before anything is typed, by the names of the fields. */
export interface EntryValues extends Record<WriterText, string> {
  rating: string
  title: string
  body: string
  author_name: string
  company_url: string
  seen_url: string
  seen_public: boolean
  written_at: string
  product: string
  note: string
  tags: string
  /** Addresses of pictures; empty without one. */
  portrait: string
  company_logo: string
  consent: boolean
  evidence: boolean
}

const nothing: EntryValues = {
  rating: '',
  title: '',
  body: '',
  author_name: '',
  ...recordOf(writerTextNames, () => ''),
  company_url: '',
  seen_url: '',
  seen_public: false,
  written_at: '',
  product: '',
  note: '',
  tags: '',
  portrait: '',
  company_logo: '',
  consent: false,
  evidence: false,
}

/** The parts that were found in a pasted text. */
export function valuesFound(found: ReadReview | null): EntryValues {
  if (!found) return nothing
  return {
    ...nothing,
    rating: found.rating ? String(found.rating.hundredths / 100) : '',
    body: found.body,
    author_name: found.authorName ?? '',
    role: found.role,
    company: found.company,
    written_at: found.writtenAt?.slice(0, 10) ?? '',
  }
}

/** The parts of a review that the shop added before. */
export function valuesOf(
  { version, writtenOn, review, tags, evidence }: CorrectionView,
  product: string,
): EntryValues {
  const { about } = version
  const picture = (name: string | null) => (name ? `/media/${name}` : '')
  return {
    rating: version.ratingValue === null ? '' : String(version.ratingValue),
    title: version.title,
    body: version.body,
    author_name: version.authorName,
    ...recordOf(writerTextNames, (name) => about[name]),
    company_url: about.companyUrl,
    seen_url: about.seenUrl,
    seen_public: about.seenPublic,
    written_at: writtenOn,
    product,
    note: review.note,
    tags: tags.join(', '),
    portrait: picture(about.portrait),
    company_logo: picture(about.companyLogo),
    consent: review.showable,
    evidence: evidence.length > 0,
  }
}

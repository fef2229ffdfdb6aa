import type { Answer } from '../intake/answer'
import type { SheetMatching } from './matching'
import type { SheetProblems, SheetSample } from './sheetSample'

/** What to send to an outside site; the server sends it. */
interface OriginRequest {
  url: string
  headers?: Record<string, string>
}

export interface OriginAnswer {
  status: number
  /** The header `Retry-After`; null without one. */
  retryAfter: string | null
  /** The final address, after redirects. */
  url: string
  contentType: string
  body: string
}

/**
 * A request and how to read its answer.
 * @throws OriginRefusal if the answer says no or can't be read
 */
export interface OriginStep<T> {
  request: OriginRequest
  read: (answer: OriginAnswer) => T
}

/** What a person pasted, if it belongs to the site. */
export interface Recognised {
  kind: 'listing' | 'post'
  id: string
}

export interface Suggestion {
  id: string
  name: string
  /** Empty for a business without one. */
  street: string
  /** On the scale of the site; null if unknown. */
  average: number | null
  count: number | null
}

/** A business as the site shows it. */
export interface Business extends Suggestion {
  /** Its page on the site. */
  url: string
  /** Where visitors write a review there; null if unknown. */
  writeUrl: string | null
  picture: string | null
  isClosed: boolean
  latest: OriginReview | null
  /** The columns of a sheet, to be matched; missing for anything else. */
  sheet?: SheetSample
}

/** A review as the site shows it. Unknown texts are empty. */
export interface OriginReview {
  /** The site's own id of it. */
  key: string
  url: string
  authorName: string
  /** Address of the picture of its writer. */
  portrait: string | null
  /** On the scale of the site. */
  rating: number | null
  /** If it differs from that of the site. */
  ratingScale?: number
  title: string
  body: string
  /** ISO date or moment; null if unknown. */
  writtenAt: string | null
  likes: number | null
  /** Whether the site says that its writer bought. */
  claimsVerified: boolean
  /** To questions of the shop; missing on sites that have none. */
  answers?: Answer[]
}

export interface ReviewPage {
  /** Newest first. */
  reviews: OriginReview[]
  /** For the following page; null on the last one. */
  next: string | null
  /** The number of all reviews as the site states it. */
  count: number | null
  /** What a page at any address states with its reviews; sites state it with the business. */
  numbers?: { average: number | null; count: number | null }
  /** Cells of a sheet that could not be read. */
  problems?: SheetProblems
}

/**
 * One outside site: which addresses are its own, what to request, and how to read its answers. It has no side
 * effects. The access key is empty if the site needs none.
 */
export interface OriginAdapter {
  /** In the data; never changes. */
  origin: string
  name: string
  /** An SVG path on 16 by 16. */
  icon: string
  home: string
  /** The highest rating; null if posts have none. */
  scale: number | null
  needs: 'nothing' | 'accessKey'
  /** Calls are counted, and checks are made one at a time, under this name: the site, or the host of a page. */
  callsAs: string
  /** How often it is checked by default. */
  checkMinutes: number
  /** Of a sheet; missing on sites. */
  matching?: SheetMatching | null
  /** Null for no limit. */
  limits: { callsAMinute: number | null; newestOnly: number | null }
  /** Steps for the owner, in English as all of her screens. */
  guide: { find: string[]; accessKey: string[] }
  recognise: (text: string) => Recognised | null
  suggest: (name: string, accessKey: string) => OriginStep<Suggestion[]>
  describe: (id: string, accessKey: string) => OriginStep<Business>
  page: (id: string, cursor: string | null, accessKey: string) => OriginStep<ReviewPage>
  /** Null if the site has no address for a single post. */
  post: ((id: string) => OriginStep<OriginReview>) | null
}

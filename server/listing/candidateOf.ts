import type { Candidate } from '../../core/intake/candidate'
import { nothingAbout } from '../../core/intake/candidate'
import { trustedSubmission } from '../../core/moderation/submissionChecks'
import type { OriginAdapter, OriginReview } from '../../core/listing/originAdapter'
import type { Listing } from '../data/listings'

/** A review of another site as a candidate. Its portrait is added when it is stored. */
export function candidateOf(
  { origin, scale }: OriginAdapter,
  listing: Pick<Listing, 'id' | 'tag' | 'arrivesAs'>,
  productSku: string,
  review: OriginReview,
): Candidate {
  return {
    source: 'listing',
    formId: null,
    identity: { by: 'externalKey', origin, key: review.key },
    // The site has checked its writers in its own way.
    writers: 'anyone',
    ...trustedSubmission,
    fillSeconds: null,
    ip: '',
    arrivesAs: listing.arrivesAs,
    rating:
      review.rating === null || scale === null
        ? null
        : { value: review.rating, scale: review.ratingScale ?? scale },
    title: review.title,
    body: review.body,
    authorName: review.authorName,
    authorEmail: '',
    orderNumber: '',
    productSku,
    writtenAt: review.writtenAt,
    consent: { answer: 'stated', text: '' },
    about: { ...nothingAbout, seenUrl: review.url, seenPublic: true },
    photos: [],
    note: '',
    tags: listing.tag ? [listing.tag] : [],
    answers: review.answers ?? [],
    posted: { listingId: listing.id, likes: review.likes, claimsVerified: review.claimsVerified },
    evidence: [],
    customerLanguage: null,
  }
}

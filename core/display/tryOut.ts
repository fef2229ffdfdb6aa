import type { ShowableReview } from './showableReview'

/** Kinds of data for the preview. */
export const trials = ['real', 'few', 'many', 'long', 'missing'] as const
export type Trial = (typeof trials)[number]

export const MANY = 24
const FEW = 2
/** In UTF-16 units. */
const LONG_BODY = 1200

/** Selected reviews, changed to be few, long or incomplete. They are never stored or published. */
export function triedWith(reviews: ShowableReview[], trial: Trial): ShowableReview[] {
  switch (trial) {
    case 'real':
    case 'many':
      return reviews
    case 'few':
      return reviews.slice(0, FEW)
    case 'long':
      return reviews.map((review, i) => ({
        ...review,
        body: lengthened(review.body || review.title),
        authorName: `${review.authorName} ${reviews[(i + 1) % reviews.length]!.authorName}`.replace(
          /\s/g,
          '-',
        ),
        productTitle: review.productTitle && `${review.productTitle}, ${review.productTitle}`,
      }))
    case 'missing':
      return reviews.map((review, i) => ({
        ...review,
        title: '',
        portrait: null,
        company: '',
        role: '',
        boughtAt: null,
        boughtBy: null,
        productTitle: null,
        reply: null,
        rating: i % 3 === 1 ? null : review.rating,
        body: i % 3 === 0 && review.rating !== null ? '' : review.body,
      }))
  }
}

function lengthened(text: string): string {
  let long = text
  while (long !== '' && long.length < LONG_BODY) long += ` ${text}`
  return long
}

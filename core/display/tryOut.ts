import { recordOf } from '../formats/keysOf'
import { writerTextNames } from '../intake/writerTexts'
import type { ShowableReview } from './showableReview'

/** Kinds of data for the preview. */
export const trials = ['real', 'few', 'many', 'long', 'missing', 'rightToLeft', 'samples'] as const
export type Trial = (typeof trials)[number]

export const MANY = 24
const FEW = 2
/** In UTF-16 units. */
const LONG_BODY = 1200

/** Selected reviews, changed to be few, long or incomplete. They are never stored or published. */
export function triedWith(reviews: ShowableReview[], trial: Trial): ShowableReview[] {
  switch (trial) {
    case 'real':
    case 'samples':
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
    case 'rightToLeft':
      return reviews.map((review, i) => ({
        ...review,
        title: review.title && rightToLeft.title,
        body: rightToLeft.bodies[i % rightToLeft.bodies.length]!,
        authorName: rightToLeft.names[i % rightToLeft.names.length]!,
        language: 'he',
      }))
    case 'missing':
      return reviews.map((review, i) => ({
        ...review,
        title: '',
        portrait: null,
        ...recordOf(writerTextNames, () => ''),
        relationship: review.relationship,
        boughtAt: null,
        boughtBy: null,
        productTitle: null,
        reply: null,
        rating: i % 3 === 1 ? null : review.rating,
        body: i % 3 === 0 && review.rating !== null ? '' : review.body,
      }))
  }
}

/** Made-up reviews in Hebrew, to see how text from right to left stands in the display. */
const rightToLeft = {
  title: 'בדיוק מה שחיפשנו',
  names: ['נועה לביא', 'איתמר שקד', 'תמר אלון'],
  bodies: [
    'ההזמנה הגיעה ביום שהבטיחו, ארוזה היטב.',
    'עובד בשקט וקל לנקות. אחרי עונה שלמה הוא עדיין כמו חדש, וכשהיתה לי שאלה ענו לי עוד באותו יום.',
    'טוב, אבל ההוראות קצרות מדי (2 עמודים בלבד).',
  ],
}

function lengthened(text: string): string {
  let long = text
  while (long !== '' && long.length < LONG_BODY) long += ` ${text}`
  return long
}

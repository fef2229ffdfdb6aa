/** The page that explains how a shop handles reviews. */
export const policy = {
  title: 'How reviews are handled',
  who: 'Who writes reviews',
  writers: {
    anyone:
      'Anyone can write a review with the form of {{shop}}, giving a name and an email address that is never shown.',
    confirmed:
      'Anyone can write a review with the form of {{shop}}, giving a name and an email address that is never shown. {{shop}} sees the review once its writer has confirmed the address with a button in an email.',
    buyers:
      'Only verified buyers can write a review with the form of {{shop}}. What others send is held back.',
  },
  bought:
    '“Bought here” appears only next to a review whose writer confirmed the email address of an order, or gave an order number and the name that belongs to it. The order had been delivered by then.',
  unproven: 'A review without that badge may still be from a customer; there is just no proof.',
  deciding: 'How we decide',
  read: '{{shop}} reads every review that’s sent to it before it’s shown.',
  rules:
    'Each review gets a spam score from 0 to 100. It looks at links, wording, disguised letters, near-copies of other reviews, who sent it and how fast, and sudden groups of reviews that have too much in common. From {{held}} a review is held back for a closer look; from {{spam}} it’s set aside as spam. Phone numbers, other personal data and abuse also hold it back.',
  same: 'The rules are the same for good and bad ratings. A low rating alone is never a reason.',
  elsewhere_one:
    'One review was posted on {{sites}} and comes from there. It says so, it isn’t part of the average here, and its words were checked like those of all others; it may appear before {{shop}} has read it.',
  elsewhere_other:
    '{{count}} further reviews were posted on {{sites}} and come from there. They say so, they aren’t part of the average here, and their words were checked like those of all others; they may appear before {{shop}} has read them.',
  unaltered: 'The text is shown as it was sent, in full or with “Read more” after the first part.',
  count: {
    received: 'received so far',
    approved: 'approved',
    undecided: 'waiting for a decision',
    declined: 'declined',
    spam: 'spam',
  },
  average: 'The average',
  averageOf:
    'It’s {{average}}, from all {{count}} approved reviews with a rating by a customer, whichever of them a page shows.',
  noAverage: 'There is no average yet, because no review with a rating by a customer is approved.',
  uncounted_one:
    '{{count}} approved review has no rating or was written down by the shop for a customer. It says so, and isn’t part of the average.',
  uncounted_other:
    '{{count}} approved reviews have no rating or were written down by the shop for customers. They say so, and aren’t part of the average.',
  unshown_one: 'One approved review isn’t shown, because its writer hasn’t agreed to that.',
  unshown_other: '{{count}} approved reviews aren’t shown, because their writers haven’t agreed to that.',
  scope: 'Next to a product, it’s the average of the reviews of that product.',
  shown: 'Which reviews a page shows',
  shownWhy: 'A page that shows only some of them says that {{shop}} selected them, and from how many.',
  selectedBy: 'These pages select by:',
  selects: {
    ratings: 'rating: {{ratings}}',
    tags: 'topic: {{tags}}',
    sources: 'how the review reached the shop',
    languages: 'language: {{languages}}',
    verifiedOnly: 'verified buyers only',
    withWords: 'reviews with text only',
    withPhotos: 'reviews with a photo only',
    written: 'when they were written',
    leftOut: 'single reviews left out by hand',
    pins: 'single reviews placed first by hand',
    balanced:
      'a balanced selection: each rating by its share, and different products, themes, lengths and dates',
    lowest: 'lowest ratings first',
    highest: 'highest ratings first',
    verified: 'verified buyers first',
    hand: 'an order made by hand',
  },
  write: 'Write a review',
} as const

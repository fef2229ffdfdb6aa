/** Why reviews stand in a balanced order, and what would make a selection fair. */
export const fairWords = {
  fair: {
    swaps_one: 'One swap makes it fair: {{swaps}}.',
    swaps_other: '{{count}} swaps make it fair: {{swaps}}.',
    swap: '{{in}} ({{inRating}}) instead of {{out}} ({{outRating}})',
    do: 'Swap them',
    reason: {
      product: 'the first about this product',
      theme: 'talks about “{{theme}}”',
      language: 'the first in {{language}}',
      short: 'a short one',
      long: 'a long one',
      older: 'an older one',
      recent: 'a recent one',
      photo: 'has a photo',
      verified: 'from a verified buyer, with more to say',
      best: 'says more than others with its rating',
    },
    balancedHow:
      'Each rating has its share among all. Then products, themes, lengths, languages and dates take turns.',
  },
} as const

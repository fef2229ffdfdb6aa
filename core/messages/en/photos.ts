/** A customer's photos, as the shop looks at them. */
export const photoWords = {
  photos: {
    from: 'Photos: {{count}}',
    large: 'Photo {{place}} of {{all}}',
    back: 'Previous',
    on: 'Next',
    close: 'Close',
    hide: 'Hide from visitors',
    show: 'Show to visitors',
    hidden: 'hidden from visitors',
    only: 'The text stays, whatever you decide about a photo.',
    altOwner: 'What it shows, for people who can’t see it',
    altSeen: 'read out to visitors',
    altNone: 'Nobody has described it yet.',
    kept: 'Saved',
    byWriter: 'Photo by {{name}}',
    short_one: '{{count}} photo',
    short_other: '{{count}} photos',
  },
} as const

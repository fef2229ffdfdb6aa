/** What narrows a selection, and is folded away until it is used. */
export const narrowWords = {
  narrow: {
    noTags: 'No approved review has a tag. You can add tags in Decide.',
    only: {
      verifiedOnly: 'Only verified buyers',
      withWords: 'Only reviews with text',
      withPhotos: 'Only reviews with a photo',
    },
    fold: {
      tags: 'Tags',
      sources: 'Sources',
      languages: 'Languages',
      written: 'Dates',
      title: 'Title',
    },
    from: 'Written from',
    until: 'until',
    anyDate: 'Any date',
  },
} as const

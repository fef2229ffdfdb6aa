/** The preview of the editor. */
export const previewWords = {
  preview: {
    beside: 'phone beside it',
    before: 'Hold to see what’s published',
    isBefore: 'This is what’s published',
    holdKey: 'Or hold the key B',
  },
} as const

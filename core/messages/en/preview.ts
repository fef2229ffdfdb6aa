/** The preview of the editor. */
export const previewWords = {
  preview: {
    speed: 'Speed',
    beside: 'phone beside it',
    before: 'hold: as published',
    isBefore: 'as published',
    holdKey: 'Or hold the key B',
  },
} as const

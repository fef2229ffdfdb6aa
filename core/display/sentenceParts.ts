/** The parts of the sentence; some appear only if they are set. */
export const sentenceParts = [
  'limit',
  'ratings',
  'products',
  'tags',
  'sources',
  'languages',
  'verifiedOnly',
  'withWords',
  'withPhotos',
  'written',
  'order',
  'layout',
  'theme',
  'placement',
  'title',
] as const
export type SentencePart = (typeof sentenceParts)[number]

/** Parts that are collapsed under "and…" if they are unset. */
export const collapsedParts = [
  'tags',
  'sources',
  'languages',
  'verifiedOnly',
  'withWords',
  'withPhotos',
  'written',
  'title',
] as const

/** The parts that every sentence says, and those it says only where they are set. */
export const sentenceParts = [
  'limit',
  'ratings',
  'products',
  'tags',
  'sources',
  'languages',
  'verifiedOnly',
  'withWords',
  'order',
  'layout',
  'theme',
  'placement',
  'title',
] as const
export type SentencePart = (typeof sentenceParts)[number]

/** Parts that fold under "and…" while nothing is set. */
export const foldedParts = ['tags', 'sources', 'languages', 'verifiedOnly', 'withWords', 'title'] as const

/** Parts of a review that can only be shown or hidden. */
export const switchedParts = [
  'portrait',
  'role',
  'company',
  'product',
  'proof',
  'title',
  'words',
  'photos',
  'reply',
  'likes',
  'language',
  'answers',
] as const
export type SwitchedPart = (typeof switchedParts)[number]

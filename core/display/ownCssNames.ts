import type { TextPart } from './choices'

/** Parts of a display besides its kinds of text. */
const otherParts = {
  '.eg': 'whole',
  '.eg ol': 'list',
  '.eg figure': 'card',
  '.eg-role': 'role',
  '.eg-company': 'company',
  '.eg-on': 'product',
  '.eg-photos': 'photos',
  '.eg-face': 'portrait',
  '.eg-answers': 'answers',
  '.eg-write': 'write',
  '.eg-button': 'button',
  '.eg-step': 'arrows',
} as const

const textParts = {
  '.eg-title': 'title',
  '.eg-line': 'line',
  '.eg-sum': 'average',
  '.eg-glyphs': 'symbols',
  '.eg-head': 'headline',
  '.eg-words': 'words',
  '.eg-name': 'name',
  '.eg-date': 'date',
  '.eg-proof': 'proof',
  '.eg-reply': 'reply',
  '.eg-all': 'links',
} as const satisfies Record<string, TextPart>

/** The selectors that own CSS can rely on, and what each of them is. */
export const ownCssNames = { otherParts, textParts }

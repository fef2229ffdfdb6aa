import type { TextPart } from './choices'
import { reviewParts, switchedParts, type SwitchedPart } from './reviewParts'

/** Parts of a display besides its kinds of text and the parts of a review. */
const otherParts = {
  '.eg': 'whole',
  '.eg ol': 'list',
  '.eg figure': 'card',
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

/** The parts of a review that have no kind of text of their own. */
const ownReviewParts: Record<string, SwitchedPart> = Object.fromEntries(
  switchedParts.flatMap((part) => {
    const { css, text } = reviewParts[part]
    return text === null || text === 'about' ? [[`.${css}`, part]] : []
  }),
)

/** The selectors that own CSS can rely on, and what each of them is. */
export const ownCssNames = { otherParts, textParts, reviewParts: ownReviewParts }

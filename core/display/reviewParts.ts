import { keysOf, recordOf } from '../formats/keysOf'
import { textsBesideName, type TextBesideName } from '../intake/writerTexts'
import type { TextPart } from './choices'

interface ReviewPart {
  /** The class of its element. */
  css: string
  /** The kind of text that it is styled as; `null` if it has no style of its own. */
  text: TextPart | null
  /** Whether a new display shows it. */
  shown: boolean
}

/** The parts of a review that can only be shown or hidden. */
export const reviewParts = {
  portrait: { css: 'eg-face', text: null, shown: true },
  ...recordOf(keysOf(textsBesideName), (name): ReviewPart & { css: `eg-${TextBesideName}` } => ({
    css: `eg-${name}`,
    text: 'about',
    shown: true,
  })),
  company: { css: 'eg-company', text: 'about', shown: true },
  product: { css: 'eg-on', text: 'about', shown: true },
  proof: { css: 'eg-proof', text: 'proof', shown: true },
  title: { css: 'eg-head', text: 'headline', shown: true },
  words: { css: 'eg-words', text: 'words', shown: true },
  photos: { css: 'eg-photos', text: null, shown: true },
  reply: { css: 'eg-reply', text: 'reply', shown: true },
  likes: { css: 'eg-likes', text: null, shown: true },
  language: { css: 'eg-language', text: null, shown: false },
  answers: { css: 'eg-answers', text: null, shown: false },
} as const satisfies Record<string, ReviewPart>

export type SwitchedPart = keyof typeof reviewParts
export const switchedParts = keysOf(reviewParts)

import { keysOf } from '../formats/keysOf'
import { NAME_LIMIT } from './limits'

interface WriterTextTraits {
  /** In characters. */
  limit: number
  /** Whether a form can ask for it. */
  asked: boolean
  /** Of the field, as browsers fill it in. */
  autoComplete: string
}

/** Those that displays show behind the name. */
export const textsBesideName = {
  role: { limit: NAME_LIMIT, asked: true, autoComplete: 'organization-title' },
} as const satisfies Record<string, WriterTextTraits>
export type TextBesideName = keyof typeof textsBesideName

/**
 * The texts about a writer besides the name. A new one is a line here, a column of `review_version` and its words
 * (`writer.NAME` for members, `form.NAME` for customers); entering, asking, storing, listing and showing it follows.
 */
export const writerTexts = {
  ...textsBesideName,
  company: { limit: NAME_LIMIT, asked: true, autoComplete: 'organization' },
  /** A free gift or personal connection; visitors always see it. */
  relationship: { limit: NAME_LIMIT, asked: false, autoComplete: 'off' },
} as const satisfies Record<string, WriterTextTraits>

export type WriterText = keyof typeof writerTexts
export const writerTextNames = keysOf(writerTexts)

export type AskedText = {
  [K in WriterText]: (typeof writerTexts)[K]['asked'] extends true ? K : never
}[WriterText]
export const askedTexts = writerTextNames.filter((name): name is AskedText => writerTexts[name].asked)

import { keysOf } from '../formats/keysOf'
import { NAME_LIMIT } from './limits'

/**
 * The texts about a writer besides the name, and how long each may be, in characters. A new one is a line here, a
 * column of `review_version` and its words (`write.NAME`); what enters, stores and lists it follows.
 */
export const writerTexts = {
  role: { limit: NAME_LIMIT },
  company: { limit: NAME_LIMIT },
  /** A free gift or personal connection; visitors see it. */
  relationship: { limit: NAME_LIMIT },
} as const

export type WriterText = keyof typeof writerTexts
export const writerTextNames = keysOf(writerTexts)

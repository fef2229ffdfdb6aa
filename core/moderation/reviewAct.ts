import { z } from 'zod'
import { BODY_LIMIT } from '../intake/submission'
import type { Act } from './likelyAct'

export const REASON_LIMIT = 500
export const TAG_LIMIT = 40

const reason = z.string().trim().max(REASON_LIMIT).default('')
const why = z.string().trim().min(1).max(REASON_LIMIT)
const tag = z.string().trim().min(1).max(TAG_LIMIT)

/** What a member can do to a review, or to many at once. */
export const reviewActSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('approve') }),
  z.object({ kind: z.literal('spam') }),
  z.object({ kind: z.literal('decline'), reason }),
  z.object({ kind: z.literal('reason'), reason }),
  z.object({ kind: z.literal('move'), product: z.string().max(100) }),
  z.object({ kind: z.literal('tag'), tag }),
  z.object({ kind: z.literal('untag'), tag }),
  z.object({ kind: z.literal('reply'), reply: z.string().trim().min(1).max(BODY_LIMIT) }),
  z.object({ kind: z.literal('unreply') }),
  // One photo alone, whatever becomes of the words.
  z.object({ kind: z.literal('hidePhoto'), photo: z.string().max(40) }),
  z.object({ kind: z.literal('showPhoto'), photo: z.string().max(40) }),
  // Proof by hand, and taking any proof away, are told with a reason or not at all.
  z.object({ kind: z.literal('vouch'), reason: why }),
  z.object({ kind: z.literal('unvouch'), reason: why }),
])
export type ReviewAct = z.infer<typeof reviewActSchema>
export type ReviewActKind = ReviewAct['kind']

/** The acts that the log knows of and that can be undone. */
export const reviewActKinds = reviewActSchema.options.map(({ shape }) => shape.kind.value)

/** One of the three plain acts, with nothing said beside it. */
export const plainAct = (kind: Act): ReviewAct => (kind === 'decline' ? { kind, reason: '' } : { kind })

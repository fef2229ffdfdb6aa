import { z } from 'zod'
import { BODY_LIMIT } from '../intake/limits'
import type { Act } from './likelyAct'

export const REASON_LIMIT = 500
export const TAG_LIMIT = 40

const reason = z.string().trim().max(REASON_LIMIT).default('')
const why = z.string().trim().min(1).max(REASON_LIMIT)
const tag = z.string().trim().min(1).max(TAG_LIMIT)

/** The actions on a review or on several. */
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
  // A single photo, independent of the review.
  z.object({ kind: z.literal('hidePhoto'), photo: z.string().max(40) }),
  z.object({ kind: z.literal('showPhoto'), photo: z.string().max(40) }),
  // A manual verification, or removing a badge, needs a reason.
  z.object({ kind: z.literal('vouch'), reason: why }),
  z.object({ kind: z.literal('unvouch'), reason: why }),
])
export type ReviewAct = z.infer<typeof reviewActSchema>
type ReviewActKind = ReviewAct['kind']

/** Those that decide whether visitors see a review. */
export const decidingKinds: ReviewActKind[] = ['approve', 'decline', 'spam']
/** The logged decisions of members. */
const reviewActKinds = reviewActSchema.options.map(({ shape }) => shape.kind.value)
/** The logged actions that can be reverted: decisions, and corrections of reviews that the shop added. */
export const revertibleActs = [...reviewActKinds, 'correct']

/** A simple decision without a reason. */
export const plainAct = (kind: Act): ReviewAct => (kind === 'decline' ? { kind, reason: '' } : { kind })

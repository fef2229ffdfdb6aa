import type { Act } from '../../core/moderation/likelyAct'

export const actLetters: Record<Act, string> = { approve: 'A', decline: 'D', spam: 'S' }

/** The likely action is the filled button, in the colour of its state. */
export const filledActs: Record<Act, string> = {
  approve: 'border-moss bg-moss text-paper',
  decline: 'border-soft bg-soft text-paper',
  spam: 'border-plum bg-plum text-paper',
}

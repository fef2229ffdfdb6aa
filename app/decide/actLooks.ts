import type { Act } from '../../core/moderation/likelyAct'

/** The digit of each action: its place in the bar. */
export const actKeys: Record<Act, string> = { approve: '1', decline: '2', spam: '3' }

/** The likely action is the filled button, in the colour of its state. */
export const filledActs: Record<Act, string> = {
  approve: 'border-moss bg-moss text-paper',
  decline: 'border-soft bg-soft text-paper',
  spam: 'border-plum bg-plum text-paper',
}

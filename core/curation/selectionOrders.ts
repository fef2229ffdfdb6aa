export const selectionOrders = ['balanced', 'newest', 'highest', 'lowest', 'verified', 'hand'] as const
export type SelectionOrder = (typeof selectionOrders)[number]
/** Orders by the properties of single reviews. */
export type PlainOrder = Exclude<SelectionOrder, 'hand' | 'balanced'>
export const MOST_SHOWN = 50

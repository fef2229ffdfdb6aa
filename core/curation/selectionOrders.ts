export const selectionOrders = ['newest', 'highest', 'verified', 'hand'] as const
export type SelectionOrder = (typeof selectionOrders)[number]
export const MOST_SHOWN = 50

export const reviewSources = ['form', 'manualEntry'] as const
export type ReviewSource = (typeof reviewSources)[number]

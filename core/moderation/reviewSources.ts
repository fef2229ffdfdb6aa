/** The sources by which a review can have come. */
export const reviewSources = ['form', 'manualEntry'] as const
export type ReviewSource = (typeof reviewSources)[number]

/** What a new shop sets up, in this order; each is done when the facts say so. */
export const firstStepNames = ['site', 'reviews', 'form', 'code', 'email'] as const
export type FirstStep = (typeof firstStepNames)[number]

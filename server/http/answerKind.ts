/**
 * The kinds of answers for a published display: JSON for embedding, its own page, the page of all reviews,
 * and further reviews as items of a list.
 */
export const answerKinds = ['', '.json', '/all', '/part'] as const
export type AnswerKind = (typeof answerKinds)[number]

/**
 * The kinds of answers for a published display: JSON for embedding, its own page, and the page of all
 * reviews.
 */
export type AnswerKind = '.json' | '' | '/all'

/** The kinds of answers that a live display gives: data for a page's box, a page of its own, and all it is about. */
export type AnswerKind = '.json' | '' | '/all'

/** The greatest lengths of a review, in UTF-16 units. */
export const TITLE_LIMIT = 120
export const BODY_LIMIT = 3000
export const NAME_LIMIT = 120

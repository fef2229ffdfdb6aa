/** Lengths in UTF-16 units; longer texts of other sites are cut. */
export const MAX_NAME = 120
export const MAX_BODY = 20_000

/** Of a sheet; a larger one is refused. */
export const MAX_ROWS = 10_000
export const MAX_COLUMNS = 60
/** Elements of a page with a table or marked-up reviews. */
export const MAX_TAGS = 400_000

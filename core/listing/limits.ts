/** Lengths in UTF-16 units; longer texts of other sites are cut. */
export const MAX_NAME = 120
export const MAX_BODY = 20_000

/** Of a sheet; a larger one is refused. */
export const MAX_ROWS = 10_000
export const MAX_COLUMNS = 60

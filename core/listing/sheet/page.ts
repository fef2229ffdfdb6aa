/** In the data, the origin of a sheet or page at any address. */
export const PAGE = 'page'

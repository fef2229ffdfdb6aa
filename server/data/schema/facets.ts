/** A facet by which reviews are counted: its column in the counters, and how a row of `review` gives it. */
interface Facet {
  column: string
  type: 'INTEGER' | 'TEXT'
  of: string
}

const facet = (column: string, type: Facet['type'], of: string): Facet => ({ column, type, of })

/** What the lists of reviews are counted by, of the row `@`; `product_id` and `rating` are 0 for none. */
export const laneFacets = [
  facet('state', 'TEXT', '@.state'),
  facet('product_id', 'INTEGER', 'ifnull(@.product_id, 0)'),
  facet('rating', 'INTEGER', 'ifnull(@.rating, 0)'),
  facet('showable', 'INTEGER', '@.showable'),
  facet('in_averages', 'INTEGER', '@.in_averages'),
  facet('source', 'TEXT', '@.source'),
  facet('language', 'TEXT', '@.language'),
  facet('verified', 'INTEGER', '@.verified'),
  facet('has_text', 'INTEGER', '@.has_text'),
  // A generated column, which triggers cannot read.
  facet('needs_reply', 'INTEGER', '(@.rating IS NOT NULL AND @.rating <= 200 AND @.reply_id IS NULL)'),
]

/** What publishable reviews are counted by, from `review` and its published version; ids are 0 for none. */
export const publishableFacets = {
  productId: facet('product_id', 'INTEGER', 'ifnull(review.product_id, 0)'),
  rating: facet('rating', 'INTEGER', 'ifnull(review_version.rating, 0)'),
  source: facet('source', 'TEXT', "CASE WHEN review.confirmed_at IS NULL THEN review.source ELSE 'form' END"),
  language: facet('language', 'TEXT', "ifnull(review_version.language, '')"),
  verified: facet('verified', 'INTEGER', 'review.verified'),
  hasText: facet('has_text', 'INTEGER', "trim(review_version.title || review_version.body) <> ''"),
  listingId: facet('listing_id', 'INTEGER', 'ifnull(review.listing_id, 0)'),
  hasPhoto: facet(
    'has_photo',
    'INTEGER',
    `EXISTS (SELECT 1 FROM version_photo JOIN photo ON photo.id = version_photo.photo_id
      WHERE version_photo.version_id = review_version.id AND photo.declined = 0)`,
  ),
  formId: facet('form_id', 'INTEGER', 'ifnull(review.form_id, 0)'),
}

/** The facets of a row in its list. */
export const laneFacetsOf = (row: string): string =>
  laneFacets.map(({ of }) => of.replaceAll('@', row)).join(', ')

export const columnsOf = (facets: Facet[]): string => facets.map(({ column }) => column).join(', ')
const publishable = Object.values(publishableFacets)
export const publishableColumns = columnsOf(publishable)

/** Adds the publishable ones of some reviews to `publishable_review`. */
export const insertPublishable = (which: string): string =>
  `INSERT INTO publishable_review (review_id, shop_id, ${publishableColumns}, written_at)
    SELECT review.id, review.shop_id, ${publishable.map(({ of }) => of).join(', ')}, review_version.written_at
    FROM review JOIN review_version ON review_version.id = review.published_version_id
    WHERE review.showable = 1 AND ${which}`

/** Adds to the counters what a query yields: the keys of a table with their differences. */
export const adding = (table: string, keys: string, query: string): string =>
  `INSERT INTO ${table} (${keys}, count) ${query} ON CONFLICT DO UPDATE SET count = count + excluded.count`

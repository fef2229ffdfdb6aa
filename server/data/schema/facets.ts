import { keysOf } from '../../../core/formats/keysOf'
import type { Source } from '../../../core/intake/sourcePolicy'
import type { StoredState } from '../../../core/moderation/rules'
import { flag, integer, text } from '../columnDefinition'
import { columnName } from '../table'

/** What the lists of reviews are counted by; `productId` and `rating` are 0 for none. */
export const laneFacets = {
  state: text<StoredState>(),
  productId: integer(),
  rating: integer(),
  showable: flag(),
  inAverages: flag(),
  source: text<Source>(),
  language: text(),
  verified: flag(),
  hasText: flag(),
  needsReply: flag(),
}

/** How a row `@` of `review` gives them. */
const laneExpressions: Record<keyof typeof laneFacets, string> = {
  state: '@.state',
  productId: 'ifnull(@.product_id, 0)',
  rating: 'ifnull(@.rating, 0)',
  showable: '@.showable',
  inAverages: '@.in_averages',
  source: '@.source',
  language: '@.language',
  verified: '@.verified',
  hasText: '@.has_text',
  // A generated column, which triggers cannot read.
  needsReply: '(@.rating IS NOT NULL AND @.rating <= 200 AND @.reply_id IS NULL)',
}

/** What publishable reviews are counted by; ids are 0 for none, and so is a missing rating. */
export const publishableTraits = {
  rating: integer(),
  source: text<Source>(),
  /** Empty if unknown. */
  language: text(),
  verified: flag(),
  hasText: flag(),
  listingId: integer(),
  hasPhoto: flag(),
  formId: integer(),
}
export const publishableFacets = { productId: integer(), ...publishableTraits }

/** How `review` and its published version give them. */
const publishableExpressions: Record<keyof typeof publishableFacets, string> = {
  productId: 'ifnull(review.product_id, 0)',
  rating: 'ifnull(review_version.rating, 0)',
  source: "CASE WHEN review.confirmed_at IS NULL THEN review.source ELSE 'form' END",
  language: "ifnull(review_version.language, '')",
  verified: 'review.verified',
  hasText: "trim(review_version.title || review_version.body) <> ''",
  listingId: 'ifnull(review.listing_id, 0)',
  hasPhoto: `EXISTS (SELECT 1 FROM version_photo JOIN photo ON photo.id = version_photo.photo_id
      WHERE version_photo.version_id = review_version.id AND photo.declined = 0)`,
  formId: 'ifnull(review.form_id, 0)',
}

export const namesOf = (facets: object): string => Object.keys(facets).map(columnName).join(', ')

/** The facets of a row in its list. */
export const laneFacetsOf = (row: string): string =>
  keysOf(laneFacets)
    .map((facet) => laneExpressions[facet].replaceAll('@', row))
    .join(', ')

/** Adds the publishable ones of some reviews to `publishable_review`. */
export const insertPublishable = (which: string): string =>
  `INSERT INTO publishable_review (review_id, shop_id, ${namesOf(publishableExpressions)}, written_at)
    SELECT review.id, review.shop_id, ${Object.values(publishableExpressions).join(', ')}, review_version.written_at
    FROM review JOIN review_version ON review_version.id = review.published_version_id
    WHERE review.showable = 1 AND ${which}`

/** Adds to the counters what a query yields: the keys of a table with their differences. */
export const adding = (table: string, keys: string, query: string): string =>
  `INSERT INTO ${table} (${keys}, count) ${query} ON CONFLICT DO UPDATE SET count = count + excluded.count`

import type { Source } from '../../../core/intake/sourcePolicy'
import { flag, id, integer, text } from '../columnDefinition'
import { all, columnName, created, nameOf, table, type Definitions, type Table } from '../table'
import {
  adding,
  insertPublishable,
  laneFacets,
  laneFacetsOf,
  namesOf,
  publishableFacets,
  publishableTraits,
} from './facets'

const { productId: _product, ...totalLaneFacets } = laneFacets
const keysOf = (facets: Definitions) => `shop_id, ${namesOf(facets)}`
const laneKeys = keysOf(laneFacets)
const publishableKeys = keysOf(publishableFacets)
const totalKeys = keysOf(publishableTraits)

const counters = <F extends Definitions>(name: string, facets: F) =>
  table(
    name,
    { shopId: integer(), ...facets, count: integer() },
    { constraints: [`PRIMARY KEY (${keysOf(facets)})`], withoutRowId: true },
  )

/** Reviews by list, product and what else the filters of the lists ask for. */
export const reviewCount = counters('review_count', laneFacets)
/** The same without products. */
export const laneCount = counters('lane_count', totalLaneFacets)
/** Publishable reviews by what displays select. */
export const publishableCount = counters('publishable_count', publishableFacets)
/** The same without products. */
export const publishableTotal = counters('publishable_total', publishableTraits)
/** Reviews by day of arrival. */
export const arrivalCount = counters('arrival_count', {
  day: text(),
  source: text<Source>(),
  verified: flag(),
})

/** The narrow rows of publishable reviews: approved, with consent. They hold what selections depend on. */
export const publishableReview = table('publishable_review', {
  reviewId: id().refers('review'),
  shopId: integer(),
  ...publishableFacets,
  writtenAt: text(),
})

/** A row of `review` in its list, counted once more or less. */
const countedIn = (row: 'old' | 'new', by: 1 | -1) =>
  adding('review_count', laneKeys, `VALUES (${row}.shop_id, ${laneFacetsOf(row)}, ${by})`)

const arrived = (row: 'old' | 'new', by: 1 | -1) =>
  adding(
    'arrival_count',
    'shop_id, day, source, verified',
    `SELECT ${row}.shop_id, substr(${row}.received_at, 1, 10), ${row}.source, ${row}.verified, ${by}
    WHERE ${row}.state <> 'undone'`,
  )

/** What a row of the counters changed by, in the counters without products. */
const summed = (table: string, keys: string, by: string) =>
  adding(table, keys, `VALUES (${keys.replace(/\w+/g, 'new.$&')}, ${by})`)

const countingReviews = (by: string) => `UPDATE product SET
      reviews = reviews + (new.state IN ('waiting', 'held', 'approved')) * (${by}),
      approved = approved + (new.state = 'approved') * (${by})
    WHERE id = new.product_id`

const countedPublishable = (review: string, by: 1 | -1) =>
  adding(
    'publishable_count',
    publishableKeys,
    `SELECT ${publishableKeys}, ${by} FROM publishable_review WHERE review_id = ${review}`,
  )

/** What visitors can see of a review, found out again. */
const publishedAgain = (review: string) => `${countedPublishable(review, -1)};
    DELETE FROM publishable_review WHERE review_id = ${review};
    ${insertPublishable(`review.id = ${review}`)};
    ${countedPublishable(review, 1)};`

/** A counter that has come down to nothing is removed. */
const emptied = (of: Table) => {
  const keys = keyColumns(of)
  return `CREATE TRIGGER ${nameOf(of)}_emptied AFTER UPDATE OF count ON ${nameOf(of)} WHEN new.count = 0 BEGIN
    DELETE FROM ${nameOf(of)} WHERE ${keys.map((key) => `${key} = new.${key}`).join(' AND ')};
  END`
}
const keyColumns = (of: Table) =>
  Object.keys(all(of))
    .filter((name) => name !== 'count')
    .map(columnName)

/**
 * Counters and indexes of reviews that triggers keep. New reviews are added by `indexInserted`, many at once. Those
 * without products say what the lists and displays of a whole shop contain.
 */
const TOKENS = `content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2'`

/** The names under which customers with an address wrote. */
export const customerText = [
  `CREATE VIRTUAL TABLE customer_text USING fts5(scope, author_name, ${TOKENS}, prefix = '2 3 4 5 6 7 8')`,
  `CREATE TRIGGER customer_searched AFTER UPDATE OF current_version_id, customer_id ON review BEGIN
    DELETE FROM customer_text WHERE rowid = new.id;
    ${indexCustomers('review.id = new.id')};
  END`,
]

/** Keeps the full-text index up to date. */
export const reviewSearched = `CREATE TRIGGER review_searched AFTER UPDATE OF current_version_id, state ON review BEGIN
    DELETE FROM review_text WHERE rowid = new.id;
    ${indexText('review.id = new.id')};
  END`

/** Few reviews have photos or videos. */
export const reviewWithMedia = `CREATE INDEX review_with_media ON review (shop_id, state, id) WHERE photos > 0`

export const counts = [
  created(reviewCount),
  created(laneCount),
  created(publishableCount),
  created(publishableTotal),
  `CREATE TRIGGER review_recounted
    AFTER UPDATE OF state, product_id, rating, showable, in_averages, language, verified, has_text, reply_id ON review
  BEGIN
    ${countedIn('old', -1)};
    ${countedIn('new', 1)};
  END`,
  `CREATE TRIGGER review_uncounted AFTER DELETE ON review BEGIN
    ${countedIn('old', -1)};
  END`,
  ...(
    [
      ['begun', 'INSERT', 'new.count'],
      ['changed', 'UPDATE OF count', 'new.count - old.count'],
    ] as const
  ).flatMap(([name, event, by]) => [
    `CREATE TRIGGER review_count_${name} AFTER ${event} ON review_count BEGIN
    ${summed('lane_count', keysOf(totalLaneFacets), by)};
    ${countingReviews(by)};
  END`,
    `CREATE TRIGGER publishable_count_${name} AFTER ${event} ON publishable_count BEGIN
    ${summed('publishable_total', totalKeys, by)};
  END`,
  ]),

  created(arrivalCount),
  ...[reviewCount, laneCount, publishableCount, publishableTotal, arrivalCount].map(emptied),
  `CREATE TRIGGER arrival_recounted AFTER UPDATE OF state, verified ON review
    WHEN old.verified <> new.verified OR (old.state = 'undone') <> (new.state = 'undone')
  BEGIN
    ${arrived('old', -1)};
    ${arrived('new', 1)};
  END`,
  `CREATE TRIGGER arrival_uncounted AFTER DELETE ON review BEGIN
    ${arrived('old', -1)};
  END`,

  `CREATE VIRTUAL TABLE review_text USING fts5(
    scope, title, body, author_name,
    ${TOKENS}, prefix = '2 3 4 5 6 7 8'
  )`,
  reviewWithMedia,
  reviewSearched,
  ...customerText,

  created(publishableReview),
  `CREATE INDEX publishable_newest ON publishable_review (shop_id, written_at, review_id)`,
  `CREATE INDEX publishable_highest ON publishable_review (shop_id, rating, written_at, review_id)`,
  `CREATE INDEX publishable_verified ON publishable_review (shop_id, verified, written_at, review_id)`,
  `CREATE INDEX publishable_by_facets ON publishable_review (${publishableKeys}, written_at, review_id)`,
  `CREATE INDEX publishable_by_traits ON publishable_review (${totalKeys}, written_at, review_id)`,
  `CREATE TRIGGER review_published
    AFTER UPDATE OF published_version_id, showable, product_id, verified, confirmed_at, listing_id, photos ON review
    WHEN old.published_version_id IS NOT NULL OR new.published_version_id IS NOT NULL
  BEGIN
    ${publishedAgain('new.id')}
  END`,
  `CREATE TRIGGER photo_declined AFTER UPDATE OF declined ON photo WHEN old.declined <> new.declined BEGIN
    ${publishedAgain('new.review_id')}
  END`,
]

/**
 * Adds the words of some reviews to the full-text index. `searchable` is a function of each connection
 * (`sqliteClient.ts`).
 */
export function indexText(which: string): string {
  return `INSERT INTO review_text (rowid, scope, title, body, author_name)
    SELECT review.id, 'shop' || review.shop_id || review.state,
      searchable(title), searchable(body), searchable(author_name)
    FROM review JOIN review_version ON review_version.id = review.current_version_id
    WHERE ${which}`
}

/** Adds the names of the customers of some reviews to the index. */
export function indexCustomers(which: string): string {
  return `INSERT INTO customer_text (rowid, scope, author_name)
    SELECT review.id, 'shop' || review.shop_id, searchable(author_name)
    FROM review JOIN review_version ON review_version.id = review.current_version_id
    WHERE customer_id IS NOT NULL AND ${which}`
}

const SOME = 'review.id BETWEEN ? AND ?'

/** The same as what the triggers do when a review changes later, for a range of ids. */
export const indexingInserted = [
  adding(
    'arrival_count',
    'shop_id, day, source, verified',
    `SELECT shop_id, substr(received_at, 1, 10), source, verified, count(*)
    FROM review WHERE ${SOME} GROUP BY 1, 2, 3, 4`,
  ),
  adding(
    'review_count',
    laneKeys,
    `SELECT shop_id, ${laneFacetsOf('review')}, count(*)
    FROM review WHERE ${SOME} GROUP BY shop_id, ${laneFacetsOf('review')}`,
  ),
  indexText(SOME),
  indexCustomers(SOME),
  insertPublishable(SOME),
  adding(
    'publishable_count',
    publishableKeys,
    `SELECT ${publishableKeys}, count(*) FROM publishable_review
    WHERE review_id BETWEEN ? AND ? GROUP BY ${publishableKeys}`,
  ),
]

import type { Knex } from 'knex'

const counted = `shop_id, state, product_id, rating, showable, in_averages, source, language, verified, has_text,
  needs_reply`
const facets =
  'shop_id, product_id, rating, source, language, verified, has_text, listing_id, has_photo, form_id'

/** The same as what triggers do when a review changes later. */
const statements = [
  `INSERT INTO arrival_count (shop_id, day, source, verified, count)
    SELECT shop_id, substr(received_at, 1, 10), source, verified, count(*)
    FROM review WHERE id BETWEEN ? AND ? GROUP BY 1, 2, 3, 4
    ON CONFLICT DO UPDATE SET count = count + excluded.count`,
  `INSERT INTO review_count (${counted}, count)
    SELECT shop_id, state, ifnull(product_id, 0), ifnull(rating, 0), showable, in_averages, source, language,
      verified, has_text, needs_reply, count(*)
    FROM review WHERE id BETWEEN ? AND ? GROUP BY 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11
    ON CONFLICT DO UPDATE SET count = count + excluded.count`,
  `INSERT INTO review_text (rowid, scope, title, body, author_name)
    SELECT review.id, 'shop' || review.shop_id || review.state, title, body, author_name
    FROM review JOIN review_version ON review_version.id = review.current_version_id
    WHERE review.id BETWEEN ? AND ?`,
  `INSERT INTO publishable_review
      (review_id, shop_id, product_id, rating, source, language, verified, has_text, listing_id, has_photo,
        form_id, written_at)
    SELECT review.id, review.shop_id, ifnull(review.product_id, 0), ifnull(review.rating, 0), review.source,
      review.language, review.verified, review.has_text, ifnull(review.listing_id, 0),
      EXISTS (SELECT 1 FROM version_photo JOIN photo ON photo.id = version_photo.photo_id
        WHERE version_photo.version_id = review.published_version_id AND photo.declined = 0),
      ifnull(review.form_id, 0), review.written_at
    FROM review WHERE review.id BETWEEN ? AND ? AND published_version_id IS NOT NULL AND showable = 1`,
  `INSERT INTO publishable_count (${facets}, count)
    SELECT ${facets}, count(*) FROM publishable_review WHERE review_id BETWEEN ? AND ? GROUP BY ${facets}
    ON CONFLICT DO UPDATE SET count = count + excluded.count`,
]

/** Adds new reviews, a range of ids, to the counters, the full-text index and the publishable reviews. */
export async function indexInserted(
  trx: Knex.Transaction,
  { from, to }: { from: number; to: number },
): Promise<void> {
  for (const statement of statements) await trx.raw(statement, [from, to])
}

import type { Knex } from 'knex'
import { customerText, indexCustomers, indexText, reviewSearched, reviewWithMedia } from '../schema/counts'
import { productText } from '../schema/products'

/** Every form has a name; an index for the words of products; reviews in every script are found by their words. */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE shop ADD COLUMN "first_steps_away" INTEGER NOT NULL DEFAULT 0')
  await db.raw(reviewWithMedia)
  for (const statement of productText) await db.raw(statement)
  await db.raw('INSERT INTO product_text (rowid, search_text) SELECT id, search_text FROM product')
  for (const statement of customerText) await db.raw(statement)
  await db.raw(indexCustomers('true'))
  await db.raw('DROP TRIGGER review_searched')
  await db.raw(reviewSearched)
  await db.raw(
    `UPDATE form SET name = coalesce(
      (SELECT nullif(json_extract(design, '$.heading'), '') FROM form_version
        WHERE form_id = form.id AND number = form.version), nullif(json_extract(draft, '$.heading'), ''), 'Shop form')
    WHERE name = ''`,
  )
  await db.raw('CREATE TEMP TABLE searched_otherwise (id INTEGER PRIMARY KEY)')
  // Plain ASCII is in the index as it has to be.
  await db.raw(
    `INSERT INTO searched_otherwise SELECT review.id
    FROM review JOIN review_version ON review_version.id = review.current_version_id
    WHERE length(CAST(title || body || author_name AS BLOB)) <> length(title || body || author_name)`,
  )
  await db.raw('DELETE FROM review_text WHERE rowid IN (SELECT id FROM searched_otherwise)')
  await db.raw(indexText('review.id IN (SELECT id FROM searched_otherwise)'))
  await db.raw('DROP TABLE searched_otherwise')
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}

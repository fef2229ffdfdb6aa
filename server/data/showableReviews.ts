import type { Knex } from 'knex'
import type { ShowableReview } from '../../core/display/displayModel'

const LATEST_PROOF = `(
  SELECT max(purchase.placed_at) FROM verification
  JOIN purchase_line ON purchase_line.id = verification.purchase_line_id
  JOIN purchase ON purchase.id = purchase_line.purchase_id
  WHERE verification.review_id = review.id AND verification.revoked_at IS NULL
)`

type Row = Omit<ShowableReview, 'writtenDown' | 'reply'> & {
  writtenDown: 0 | 1
  replyName: string | null
  replyBody: string | null
}

/** Every review that may be shown: approved, and its writer agreed. */
export async function showableReviews(db: Knex, shopId: number): Promise<ShowableReview[]> {
  const rows: Row[] = await db('review')
    .join('review_version', 'review_version.id', 'review.published_version_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('reply', 'reply.id', 'review.reply_id')
    .where({ 'review.shop_id': shopId, 'review.state': 'approved', 'review.showable': 1 })
    .select({
      id: 'review.id',
      publicId: 'review.public_id',
      rating: 'review_version.rating',
      writtenAt: 'review.written_at',
      title: 'review_version.title',
      body: 'review_version.body',
      authorName: 'review_version.author_name',
      language: 'review_version.language',
      productTitle: 'product.title',
      boughtAt: db.raw(LATEST_PROOF),
      writtenDown: db.raw("review.source = 'manualEntry'"),
      role: 'review_version.author_role',
      company: 'review_version.company',
      companyUrl: 'review_version.company_url',
      relationship: 'review_version.relationship',
      portrait: 'review_version.portrait',
      companyLogo: 'review_version.company_logo',
      replyName: 'reply.name',
      replyBody: 'reply.body',
    })
  return rows.map(({ replyName, replyBody, ...row }) => ({
    ...row,
    writtenDown: row.writtenDown === 1,
    reply: replyName !== null && replyBody !== null ? { name: replyName, body: replyBody } : null,
  }))
}

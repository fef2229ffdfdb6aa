import type { DisplayModel } from './displayModel'

/**
 * Structured data of a display about one product, by schema.org: a product with its average and the shown reviews.
 * A shop may not mark up praise of itself for search engines, and neither what it wrote down by itself nor what
 * visitors don't see, so there is none for the shop as a whole and none without a customer's own rating.
 */
export function jsonLdOf(model: DisplayModel, url: string): object | null {
  const { product, tally, quotations } = model
  if (!product?.title || tally.average === null) return null
  const reviews = quotations.filter(({ counted, rated, name }) => counted && rated !== null && name)
  return {
    '@context': 'https://schema.org',
    '@type': 'Product',
    name: product.title,
    sku: product.sku,
    aggregateRating: {
      '@type': 'AggregateRating',
      ratingValue: Math.round(tally.average) / 100,
      ratingCount: tally.count,
      bestRating: 5,
      worstRating: 1,
    },
    ...(reviews.length > 0 && {
      review: reviews.map(({ publicId, title, words, name, rated, written }) => ({
        '@type': 'Review',
        '@id': `${url}#${publicId}`,
        author: { '@type': 'Person', name },
        ...(title && { name: title }),
        ...(words.head.length > 0 && { reviewBody: [...words.head, ...words.rest].join('\n\n') }),
        ...(written && { datePublished: written }),
        reviewRating: { '@type': 'Rating', ratingValue: rated! / 100, bestRating: 5, worstRating: 1 },
      })),
    }),
  }
}

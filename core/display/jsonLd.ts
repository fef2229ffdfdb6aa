import type { DisplayModel } from './displayModel'

/**
 * Structured data by schema.org for a display about one product: the product with its average and the shown
 * reviews. Search engines forbid it for reviews about the shop itself, for reviews that the shop added, and
 * for hidden content; without a customer's rating there is none.
 */
export function jsonLdOf(model: DisplayModel, url: string): object | null {
  const { product, tally, quotations } = model
  if (!product?.title || tally.average === null) return null
  const reviews = quotations.filter(({ inAverages, rating, name }) => inAverages && rating !== null && name)
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
      review: reviews.map(({ publicId, title, words, name, rating, written }) => ({
        '@type': 'Review',
        '@id': `${url}#${publicId}`,
        author: { '@type': 'Person', name },
        ...(title && { name: title }),
        ...(words.head.length > 0 && { reviewBody: [...words.head, ...words.rest].join('\n\n') }),
        ...(written && { datePublished: written }),
        reviewRating: { '@type': 'Rating', ratingValue: rating! / 100, bestRating: 5, worstRating: 1 },
      })),
    }),
  }
}

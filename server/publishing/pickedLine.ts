import type { ShowableReview } from '../../core/display/showableReview'

/** A review in the editor's list, under its full name, which only the owner sees. */
export interface PickedLine {
  publicId: string
  name: string
  rating: number | null
  words: string
  product: string | null
  verified: boolean
}

export function pickedLine(review: ShowableReview): PickedLine {
  const { publicId, authorName, rating, title, body, productTitle, verified } = review
  return {
    publicId,
    name: authorName,
    rating,
    words: (title.trim() || body.trim()).slice(0, 140),
    product: productTitle,
    verified,
  }
}

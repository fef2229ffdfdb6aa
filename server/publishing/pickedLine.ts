import type { BalanceReason } from '../../core/curation/balance'
import type { Page, Selection } from '../../core/curation/selection'
import type { ShowableReview } from '../../core/display/showableReview'
import type { Publishable } from './publishable'

/** A review in the editor's list, under its full name, which only the owner sees. */
export interface PickedLine {
  publicId: string
  name: string
  rating: number | null
  words: string
  product: string | null
  verified: boolean
  /** Why it stands there in a balanced order. */
  reason?: BalanceReason
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

/** The lines of a balanced order with their reasons; those of another order as they are. */
export async function withReasons(
  lines: PickedLine[],
  publishable: Publishable,
  selection: Selection,
  page: Page,
): Promise<PickedLine[]> {
  if (selection.order !== 'balanced') return lines
  const order = await publishable.balanced(selection, page)
  const reasons = new Map(order.map(({ publicId, reason }) => [publicId, reason]))
  const isPinned = new Set(selection.pins.map(({ review }) => review))
  return lines.map((line) => {
    const reason = isPinned.has(line.publicId) ? undefined : reasons.get(line.publicId)
    return reason ? { ...line, reason } : line
  })
}

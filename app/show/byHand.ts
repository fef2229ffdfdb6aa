import type { Selection } from '../../core/curation/selection'

/**
 * A review moved to a place. In an order by hand the order itself changes; in a computed one the review is pinned
 * there, and other pins keep standing where they are seen.
 */
export function movedTo(selection: Selection, shown: string[], review: string, place: number): Selection {
  const order = shown.filter((id) => id !== review).toSpliced(place, 0, review)
  if (selection.order === 'hand') return { ...selection, hand: order, pins: [] }
  const pinned = new Set([...selection.pins.map((pin) => pin.review), review])
  return { ...selection, pins: pinsAt(order, pinned) }
}

const pinsAt = (order: string[], pinned: Set<string>) =>
  order.flatMap((review, at) => (pinned.has(review) ? [{ review, at }] : []))

export function unpin(selection: Selection, review: string): Selection {
  return { ...selection, pins: selection.pins.filter((pin) => pin.review !== review) }
}

/** Takes a review out of the display for good, whatever would choose it. */
export function leaveOut(selection: Selection, review: string): Selection {
  return {
    ...unpin(selection, review),
    hand: selection.hand.filter((id) => id !== review),
    leftOut: [...selection.leftOut, review],
  }
}

export function takeBackIn(selection: Selection, review: string): Selection {
  return { ...selection, leftOut: selection.leftOut.filter((id) => id !== review) }
}

/** Puts one that is not shown at the end of what is, in place of the last when there is no more room. */
export function pullIn(selection: Selection, shown: string[], review: string): Selection {
  const place = Math.min(shown.length, selection.limit - 1)
  return movedTo(takeBackIn(selection, review), shown, review, place)
}

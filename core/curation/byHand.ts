import type { Selection } from './selection'

/**
 * Moves a review to a position. A manual order changes itself. In any other order the review is pinned there,
 * and other pins keep their visible positions.
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

/** Removes a review from the display, whatever would select it. */
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

/** Adds a review at the end; without room it replaces the last one. */
export function pullIn(selection: Selection, shown: string[], review: string): Selection {
  const place = Math.min(shown.length, selection.limit - 1)
  return movedTo(takeBackIn(selection, review), shown, review, place)
}

/** Shows reviews instead of others, each at the place of the one that goes. */
export function swapIn(
  selection: Selection,
  shown: string[],
  swaps: { out: string; in: string }[],
): Selection {
  const instead = new Map(swaps.map((swap) => [swap.out, swap.in]))
  const order = shown.map((id) => instead.get(id) ?? id)
  const into = new Set(instead.values())
  const others = {
    ...selection,
    leftOut: [...selection.leftOut.filter((id) => !into.has(id)), ...instead.keys()],
  }
  if (selection.order === 'hand') return { ...others, hand: order, pins: [] }
  const pinned = new Set([...selection.pins.map(({ review }) => review), ...into])
  return { ...others, pins: pinsAt(order, pinned) }
}

/** The shown reviews as a selection has them by now: without those left out, and in an order by hand. */
export function asPicked<P extends { publicId: string }>(
  shown: P[],
  { order, hand, leftOut }: Pick<Selection, 'order' | 'hand' | 'leftOut'>,
): P[] {
  const here = shown.filter(({ publicId }) => !leftOut.includes(publicId))
  if (order !== 'hand') return here
  const place = new Map(hand.map((id, i) => [id, i]))
  const placeOf = ({ publicId }: P) => place.get(publicId) ?? hand.length
  return here.toSorted((a, b) => placeOf(a) - placeOf(b))
}

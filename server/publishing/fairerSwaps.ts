import { isCompared } from '../../core/curation/scopeTotals'
import { fairerSelection, type Swappable } from '../../core/curation/fairerSelection'
import { fairnessOf } from '../../core/curation/fairness'
import { tallyOf, type RatingTally } from '../../core/curation/ratingTally'
import { anyRating, type Page, type Selection } from '../../core/curation/selection'
import { MOST_SHOWN } from '../../core/curation/selectionOrders'
import type { ShowableReview } from '../../core/display/showableReview'
import { pickedLine, type PickedLine } from './pickedLine'
import type { Publishable } from './publishable'

/**
 * The smallest change that makes a misleading selection fair. The newest reviews of each rating may come, whatever
 * ratings the selection asks for; pinned ones stay.
 */
export async function fairerSwaps(
  publishable: Publishable,
  selection: Selection,
  page: Page,
  picked: ShowableReview[],
  all: RatingTally,
): Promise<{ out: PickedLine; in: PickedLine }[]> {
  const counts = isCompared(selection)
  const shown = picked.filter(counts)
  const { verdict } = fairnessOf(tallyOf(shown), all)
  if (verdict !== 'rosier' && verdict !== 'harsher' && verdict !== 'lopsided') return []
  const isShown = new Set(picked.map(({ publicId }) => publicId))
  const isPinned = new Set(selection.pins.map(({ review }) => review))
  const ofEach = await Promise.all(
    anyRating.map((mark) =>
      publishable.firstFitting(
        { ...selection, ratings: [mark], order: 'newest', pins: [], hand: [] },
        MOST_SHOWN,
        page,
      ),
    ),
  )
  const others = ofEach.flat().filter((review) => counts(review) && !isShown.has(review.publicId))
  const byId = new Map([...picked, ...others].map((review) => [review.publicId, pickedLine(review)]))
  const swaps = fairerSelection(
    {
      shown: rated(shown.filter(({ publicId }) => !isPinned.has(publicId))).reverse(),
      fixed: rated(shown.filter(({ publicId }) => isPinned.has(publicId))),
      others: rated(others),
    },
    all,
  )
  return (swaps ?? []).map((swap) => ({ out: byId.get(swap.out)!, in: byId.get(swap.in)! }))
}

const rated = (reviews: ShowableReview[]): Swappable[] =>
  reviews.flatMap(({ publicId, rating }) => (rating === null ? [] : [{ publicId, rating }]))

import { createHash } from 'node:crypto'
import { recordOf } from '../../core/formats/keysOf'
import { pickFacets } from '../../core/curation/pickFacets'
import type { RatingTally } from '../../core/curation/ratingTally'
import { newestFirst, type Selection } from '../../core/curation/selection'
import { selectionOrders, type SelectionOrder } from '../../core/curation/selectionOrders'
import type { Asked } from '../../core/display/displayModel'
import type { ShowableReview } from '../../core/display/showableReview'
import { latestEntry } from '../data/decisions'
import type { Shop } from '../data/shops'
import { frequentTags, MAX_LISTED_TAGS } from '../data/tags'
import type { Services } from '../services'
import { fairerSwaps } from './fairerSwaps'
import { pickedLine, withReasons, type PickedLine } from './pickedLine'
import type { Publishable } from './publishable'
import type { EditorPicks } from './showViews'

const FIRST_FEW = 3
/** The number of listed matches that are not shown. */
const NEXT_FEW = 20

interface ChosenFrom {
  selection: Selection
  asked: Asked
  publishable: Publishable
  picked: ShowableReview[]
  /** The ratings that the selection is compared with. */
  compared: RatingTally
  /** The products that the editor lists. */
  skus: string[]
}

/** A text that changes with whatever the picks depend on; each change of a review has an entry in the log. */
export async function basisOf({ db }: Services, shop: Shop, from: ChosenFrom): Promise<string> {
  const { selection, asked, publishable, picked, skus } = from
  const all = [
    selection,
    asked,
    publishable.size,
    picked.map(pickedLine),
    skus,
    await latestEntry(db, shop.id),
  ]
  return createHash('sha256').update(JSON.stringify(all)).digest('base64url').slice(0, 16)
}

export async function editorPicks(
  { db }: Services,
  shop: Shop,
  { selection, asked, publishable, picked, compared, skus }: ChosenFrom,
): Promise<EditorPicks> {
  const tags = [
    ...new Set([...selection.tags, ...(await frequentTags(db, shop.id, { limit: MAX_LISTED_TAGS }))]),
  ]
  const counts = await publishable.countsToPickFrom(selection, asked, { skus, tags })
  const following = await publishable.firstFitting(selection, picked.length + NEXT_FEW, asked)
  return {
    picked: await withReasons(picked.map(pickedLine), publishable, selection, asked),
    fairer: await fairerSwaps(publishable, selection, asked, picked, compared),
    next: without(following, picked).slice(0, NEXT_FEW).map(pickedLine),
    leftOut: (await publishable.named(selection.leftOut)).toSorted(newestFirst).map(pickedLine),
    firstByOrder: await firstByOrder(publishable, selection, asked),
    facets: pickFacets(counts, selection),
  }
}

export const without = (from: ShowableReview[], others: ShowableReview[]) => {
  const there = new Set(others.map(({ id }) => id))
  return from.filter(({ id }) => !there.has(id))
}

async function firstByOrder(
  publishable: Publishable,
  selection: Selection,
  asked: Asked,
): Promise<Record<SelectionOrder, PickedLine[]>> {
  const first = await Promise.all(
    selectionOrders.map(async (order) => {
      const reviews = await publishable.firstFitting({ ...selection, order }, FIRST_FEW, asked)
      return [order, reviews.map(pickedLine)] as const
    }),
  )
  const lines = new Map(first)
  return recordOf(selectionOrders, (order) => lines.get(order)!)
}

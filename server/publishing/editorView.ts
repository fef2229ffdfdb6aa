import { tallyOf, type RatingTally } from '../../core/curation/ratingTally'
import { pick, ratedAtLeast, selectionOrders, type SelectionOrder } from '../../core/curation/selection'
import { changesBetween, type Change } from '../../core/display/changes'
import { layouts, type Configuration, type Layout } from '../../core/display/configuration'
import { publicName } from '../../core/display/publicName'
import type { ShowableReview } from '../../core/display/displayModel'
import { renderDisplay, type RenderedDisplay } from '../../onsite/render'
import { displaysOfShop, findDisplay } from '../data/displays'
import { showableReviews } from '../data/showableReviews'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { embedCode } from './embedCode'
import { composeDisplay } from './publish'

const FIRST_FEW = 3

/** A picked review as the editor lists it. */
export interface PickedLine {
  publicId: string
  name: string
  rating: number | null
  words: string
}

export interface DisplayCard {
  key: string
  name: string
  draft: Configuration
  live: Configuration | null
  changes: Change[]
  preview: RenderedDisplay
  dress: Pick<Shop, 'ground' | 'ink' | 'fonts'>
}

/** The displays of a shop, each with what its draft looks like now. */
export async function listDisplays(services: Services, shop: Shop): Promise<DisplayCard[]> {
  const displays = await displaysOfShop(services.db, shop.id)
  return Promise.all(
    displays.map(async ({ key, name, draft, live }) => ({
      key,
      name,
      draft: draft.configuration,
      live: live?.configuration ?? null,
      changes: live ? changesBetween(live.configuration, draft.configuration) : [],
      dress: dressOf(shop),
      preview: renderDisplay(
        (await composeDisplay(services, shop, draft.configuration, { samples: true })).model,
      ),
    })),
  )
}

export interface EditorView {
  key: string
  name: string
  draft: Configuration
  savedAt: string
  live: { configuration: Configuration; publishedAt: string | null } | null
  changes: Change[]
  comes: PickedLine[]
  goes: PickedLine[]
  preview: RenderedDisplay
  /** Whether samples stand in for reviews that the shop does not have yet. */
  samples: boolean
  dress: Pick<Shop, 'ground' | 'ink' | 'fonts'>
  miniatures: Record<Layout, RenderedDisplay>
  picked: PickedLine[]
  /** The first few in each order, with all else as the draft has it. */
  firstByOrder: Record<SelectionOrder, PickedLine[]>
  stock: number
  /** How many reviews fit each lowest rating from 1 to 5. */
  fitting: number[]
  chosen: RatingTally
  all: RatingTally
  code: string
  pageUrl: string
}

/** Everything the editor of one display shows. */
export async function editorView(services: Services, shop: Shop, key: string): Promise<EditorView | null> {
  const { db, publicUrl } = services
  const display = await findDisplay(db, shop.id, { key })
  if (!display) return null
  const { draft, live } = display
  const { model, picked } = await composeDisplay(services, shop, draft.configuration, { samples: true })
  const shownNow = live ? (await composeDisplay(services, shop, live.configuration)).picked : []
  const reviews = await showableReviews(db, shop.id)
  const without = (from: ShowableReview[], others: ShowableReview[]) =>
    from.filter(({ id }) => !others.some((other) => other.id === id)).map(pickedLine)
  return {
    key,
    name: display.name,
    draft: draft.configuration,
    savedAt: draft.savedAt,
    live: live && { configuration: live.configuration, publishedAt: live.publishedAt },
    changes: live ? changesBetween(live.configuration, draft.configuration) : [],
    comes: without(picked, shownNow),
    goes: without(shownNow, picked),
    preview: renderDisplay(model),
    samples: model.stock === 0,
    dress: dressOf(shop),
    miniatures: Object.fromEntries(
      layouts.map((layout) => [layout, renderDisplay({ ...model, layout, heading: '' })]),
    ) as Record<Layout, RenderedDisplay>,
    picked: picked.map(pickedLine),
    firstByOrder: Object.fromEntries(
      selectionOrders.map((order) => [
        order,
        pick(reviews, { ...draft.configuration.selection, order, limit: FIRST_FEW }).map(pickedLine),
      ]),
    ) as Record<SelectionOrder, PickedLine[]>,
    stock: model.stock,
    fitting: [1, 2, 3, 4, 5].map(
      (lowest) => reviews.filter(({ rating }) => ratedAtLeast(rating, lowest)).length,
    ),
    chosen: tallyOf(picked.filter(({ writtenDown }) => !writtenDown)),
    all: model.tally,
    code: embedCode(publicUrl, shop, key),
    pageUrl: `${publicUrl}/d/${key}`,
  }
}

const dressOf = ({ ground, ink, fonts }: Shop) => ({ ground, ink, fonts })

function pickedLine({ publicId, authorName, rating, title, body }: ShowableReview): PickedLine {
  return { publicId, name: publicName(authorName), rating, words: title.trim() || body.trim() }
}

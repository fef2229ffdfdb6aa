import { tallyOf, type RatingTally } from '../../core/curation/ratingTally'
import { pick, ratedAtLeast, selectionOrders, type SelectionOrder } from '../../core/curation/selection'
import { changesBetween, type Change } from '../../core/display/changes'
import { layouts, type Configuration, type Layout } from '../../core/display/configuration'
import { publicName } from '../../core/display/publicName'
import type { ShowableReview } from '../../core/display/displayModel'
import { renderDisplay, type RenderedDisplay } from '../../onsite/render'
import { appendDecision } from '../data/decisions'
import { displaysOfShop, findDisplay, insertVersion, type Display } from '../data/displays'
import type { Member } from '../data/members'
import { showableReviews } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { composeDisplay } from './publish'
import { markStale } from './staleDisplays'

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
      preview: renderDisplay((await composeDisplay(services, shop, draft.configuration)).model),
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
  const { model, picked } = await composeDisplay(services, shop, draft.configuration)
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
    chosen: tallyOf(picked),
    all: model.tally,
    code: embedCode(publicUrl, shop, key),
    pageUrl: `${publicUrl}/d/${key}`,
  }
}

function pickedLine({ publicId, authorName, rating, title, body }: ShowableReview): PickedLine {
  return { publicId, name: publicName(authorName), rating, words: title.trim() || body.trim() }
}

/** What the owner pastes into her page. */
export function embedCode(publicUrl: string, shop: Shop, key: string): string {
  const name = shop.name.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)
  return `<div data-elogio="${key}"><a href="${publicUrl}/d/${key}">Reviews of ${name}</a></div>\n<script async src="${publicUrl}/embed.js"></script>`
}

/** Keeps the draft; visitors see nothing of it. Answers when it was kept, or null when there is no such display. */
export async function saveDraft(
  { db, now }: Services,
  shop: Shop,
  key: string,
  configuration: Configuration,
): Promise<string | null> {
  const savedAt = now().toISOString()
  return writing(db, async (trx) => {
    const display = await findDisplay(trx, shop.id, { key })
    if (!display) return null
    if (display.draft.id !== display.live?.id) {
      await trx('display_version')
        .where({ shop_id: shop.id, id: display.draft.id })
        .update({ configuration: JSON.stringify(configuration), saved_at: savedAt })
      return savedAt
    }
    const versionId = await insertVersion(trx, shop.id, display.id, configuration, savedAt)
    await trx('display').where({ id: display.id }).update({ draft_version_id: versionId })
    return savedAt
  })
}

/** Makes the draft what visitors see, logs it and has it rendered. */
export async function makeLive(
  services: Services,
  shop: Shop,
  member: Member,
  key: string,
): Promise<Display | null> {
  const now = services.now().toISOString()
  const display = await writing(services.db, async (trx) => {
    const display = await findDisplay(trx, shop.id, { key })
    if (!display) return null
    const { draft, live } = display
    if (draft.id === live?.id) return display
    await trx('display_version').where({ shop_id: shop.id, id: draft.id }).update({ published_at: now })
    await trx('display').where({ shop_id: shop.id, id: display.id }).update({ live_version_id: draft.id })
    await appendDecision(trx, {
      shopId: shop.id,
      act: 'publish',
      memberId: member.id,
      displayId: display.id,
      before: { versionId: live?.id ?? null },
      after: { versionId: draft.id },
      digest: '',
      at: now,
    })
    await markStale(trx, shop.id, display.id, now)
    return display
  })
  services.wakeJobs()
  return display
}

/** Puts the draft back to what visitors see. */
export async function discardDraft(services: Services, shop: Shop, key: string): Promise<string | null> {
  const display = await findDisplay(services.db, shop.id, { key })
  return display?.live ? saveDraft(services, shop, key, display.live.configuration) : null
}

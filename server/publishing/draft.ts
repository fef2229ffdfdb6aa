import type { Knex } from 'knex'
import { memberIdOf, type Actor } from '../../core/moderation/actor'
import { changedParts } from '../../core/display/changedParts'
import type { Configuration } from '../../core/display/configuration'
import { appendDecision } from '../data/decisions'
import {
  findDisplay,
  publishedVersions,
  putDraftLive,
  startDraft,
  updateDraft,
  type Display,
} from '../data/displays'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import { isChangedElsewhere, type DraftSaved, type SavingTab } from '../savingTab'
import type { Services } from '../services'
import { markStale } from './staleDisplays'

/** Saves the draft, unless another tab has changed it since. Null if there is no such display. */
export async function saveDraft(
  { db, now, changes }: Services,
  shop: Shop,
  key: string,
  configuration: Configuration,
  saving: SavingTab = { tab: '', base: null },
): Promise<DraftSaved | null> {
  const savedAt = now().toISOString()
  const kept = await writing(db, async (trx): Promise<DraftSaved | null> => {
    const display = await findDisplay(trx, shop.id, { key })
    if (!display) return null
    const { draft } = display
    if (isChangedElsewhere(saving, draft)) return { outcome: 'changedElsewhere', savedAt: draft.savedAt }
    await putDraft(trx, display, configuration, savedAt, saving.tab)
    return { outcome: 'saved', savedAt }
  })
  if (kept?.outcome === 'saved') changes.announce(shop.id, 'shop', saving.tab)
  return kept
}

/** A published version is kept as it is. */
async function putDraft(
  trx: Knex.Transaction,
  display: Display,
  configuration: Configuration,
  savedAt: string,
  tab = '',
): Promise<void> {
  const isPublished = display.draft.id === display.live?.id || display.draft.publishedAt !== null
  await (isPublished ? startDraft : updateDraft)(trx, display, configuration, savedAt, tab)
}

/**
 * Publishes the draft, logs it and marks the display for rendering. Own CSS that was not judged as it is painted is
 * removed from the draft first.
 * @param judged when the draft was saved whose own CSS a browser painted and found nothing wrong with; null for none
 * @returns null if there is no such display
 */
export async function makeLive(
  services: Services,
  shop: Shop,
  actor: Actor,
  key: string,
  judged: string | null = null,
): Promise<'published' | 'changedMeanwhile' | null> {
  const now = services.now().toISOString()
  const outcome = await writing(services.db, async (trx) => {
    let display = await findDisplay(trx, shop.id, { key })
    if (!display) return null
    const { configuration, savedAt } = display.draft
    if (configuration.theme.css !== '' && judged !== savedAt) {
      if (judged !== null) return 'changedMeanwhile'
      const theme = { ...configuration.theme, css: '' }
      await putDraft(trx, display, { ...configuration, theme }, now)
      display = (await findDisplay(trx, shop.id, { key }))!
    }
    const { draft, live } = display
    if (live && changedParts(live.configuration, draft.configuration).length === 0) return 'published'
    await putDraftLive(trx, display, memberIdOf(actor), now)
    await appendDecision(trx, {
      shopId: shop.id,
      act: 'publish',
      actor,
      displayId: display.id,
      before: { versionId: live?.id ?? null },
      after: { versionId: draft.id },
      digest: '',
      at: now,
    })
    await markStale(trx, shop.id, display.id, now)
    return 'published'
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
  return outcome
}

/** Resets the draft to the published version or an earlier one. */
export async function restoreVersion(
  services: Services,
  shop: Shop,
  key: string,
  version?: number,
): Promise<DraftSaved | null> {
  const display = await findDisplay(services.db, shop.id, { key })
  if (!display) return null
  const from =
    version === undefined
      ? display.live
      : (await publishedVersions(services.db, shop.id, display.id)).find(({ number }) => number === version)
  return from ? saveDraft(services, shop, key, from.configuration) : null
}

import { asMember } from '../../core/moderation/actor'
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
import type { Member } from '../data/members'
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
    const { tab } = saving
    if (display.draft.id === display.live?.id || display.draft.publishedAt !== null)
      await startDraft(trx, display, configuration, savedAt, tab)
    else await updateDraft(trx, display, configuration, savedAt, tab)
    return { outcome: 'saved', savedAt }
  })
  if (kept?.outcome === 'saved') changes.announce(shop.id)
  return kept
}

/** Publishes the draft, logs it and marks the display for rendering. */
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
    if (live && changedParts(live.configuration, draft.configuration).length === 0) return display
    await putDraftLive(trx, display, member.id, now)
    await appendDecision(trx, {
      shopId: shop.id,
      act: 'publish',
      actor: asMember(member),
      displayId: display.id,
      before: { versionId: live?.id ?? null },
      after: { versionId: draft.id },
      digest: '',
      at: now,
    })
    await markStale(trx, shop.id, display.id, now)
    return display
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
  return display
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

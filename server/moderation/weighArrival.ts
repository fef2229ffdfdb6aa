import { ShopHistory } from '../../core/moderation/memory/shopHistory'
import { weigh } from '../../core/moderation/weigh'
import { storedImprint } from '../data/fingerprints'
import type { Services } from '../services'
import type { ArrivalToWeigh, WeighedArrival } from './weighedArrival'

/**
 * Scores an arrival by its text, its sender and, unless it is scored alone, the earlier arrivals, which it
 * then joins. Runs in the history thread. An arrival that can't be stored has to be forgotten again.
 */
export async function weighArrival(
  { arrivalHistories, wordingModels }: Services,
  { shopId, alone, changed, arriving, circumstances }: ArrivalToWeigh,
): Promise<WeighedArrival> {
  if (changed && !alone) await arrivalHistories.forget(shopId, arriving.id)
  const { arrival, history, fingerprint } = alone
    ? new ShopHistory().compareAndRemember(arriving)
    : await arrivalHistories.compareAndRemember(shopId, arriving)
  const model = await wordingModels.of(shopId)
  const signals = weigh({ arrival, history, model, ...circumstances })
  return { signals, history, imprint: alone ? null : storedImprint(fingerprint) }
}

export async function forgetArrival(
  { arrivalHistories }: Services,
  { shopId, id }: { shopId: number; id: string },
): Promise<void> {
  await arrivalHistories.forget(shopId, id)
}

/** Loads the histories of all shops in advance. */
export async function rememberShops(
  { arrivalHistories }: Services,
  { shopIds }: { shopIds: number[] },
): Promise<void> {
  for (const shopId of shopIds) await arrivalHistories.readLatest(shopId)
}

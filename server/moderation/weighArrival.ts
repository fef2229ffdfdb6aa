import { ShopHistory } from '../../core/moderation/memory/shopHistory'
import { weigh } from '../../core/moderation/weigh'
import { startingModel } from '../../core/moderation/wording/starting'
import { storedImprint } from '../data/fingerprints'
import type { Services } from '../services'
import type { ArrivalToWeigh, WeighedArrival } from './weighedArrival'

/**
 * Weighs an arrival by its words, its sender and, unless it is weighed alone, those that came before it, of whom it is
 * one from then on. Runs in the thread that remembers them; one that can't be stored is to be forgotten again.
 */
export async function weighArrival(
  { arrivalHistories }: Services,
  { shopId, alone, arriving, circumstances }: ArrivalToWeigh,
): Promise<WeighedArrival> {
  const { arrival, history, fingerprint } = alone
    ? new ShopHistory().compareAndRemember(arriving)
    : await arrivalHistories.compareAndRemember(shopId, arriving)
  const signals = weigh({ arrival, history, model: startingModel(), ...circumstances })
  return { signals, history, imprint: alone ? null : storedImprint(fingerprint) }
}

/** Takes an arrival back that could not be stored. */
export async function forgetArrival(
  { arrivalHistories }: Services,
  { shopId, id }: { shopId: number; id: string },
): Promise<void> {
  await arrivalHistories.forget(shopId, id)
}

/** Reads what is remembered of shops before anybody asks. */
export async function rememberShops(
  { arrivalHistories }: Services,
  { shopIds }: { shopIds: number[] },
): Promise<void> {
  for (const shopId of shopIds) await arrivalHistories.readLatest(shopId)
}

import type { Candidate } from '../../core/intake/candidate'
import { asSystem } from '../../core/moderation/actor'
import { takeIn } from '../collection/takeIn'
import { findIntake } from '../data/intakes'
import { findShop } from '../data/shops'
import type { Services } from '../services'
import type { TaskControl } from '../workers/task'

/** Receives new and changed reviews of a listing; runs in a thread. */
export async function takeInFound(
  services: Services,
  { shopId, intake: publicId, candidates }: { shopId: number; intake: string; candidates: Candidate[] },
  control: TaskControl,
): Promise<void> {
  const shop = await findShop(services.db, shopId)
  const intake = await findIntake(services.db, shopId, publicId)
  if (intake) await takeIn(services, shop, { intake, actor: asSystem, candidates }, control)
}

import type { Arriving } from '../../core/moderation/memory/arrival'
import type { ArrivalHistory } from '../../core/moderation/memory/shopHistory'
import type { Signal } from '../../core/moderation/signal'
import type { Circumstances } from '../../core/moderation/weigh'
import type { StoredImprint } from '../data/fingerprints'

export interface ArrivalToWeigh {
  shopId: number
  /** Whether it is compared with no other, and no later one with it. */
  alone: boolean
  arriving: Arriving
  circumstances: Circumstances
}

export interface WeighedArrival {
  signals: Signal[]
  history: ArrivalHistory
  /** To be stored with the review; null for one that is compared with no other. */
  imprint: StoredImprint | null
}

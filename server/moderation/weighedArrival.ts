import type { Arriving } from '../../core/moderation/memory/arrival'
import type { ArrivalHistory } from '../../core/moderation/memory/shopHistory'
import type { Signal } from '../../core/moderation/signal'
import type { Circumstances } from '../../core/moderation/weigh'
import type { StoredImprint } from '../data/fingerprints'

export interface ArrivalToWeigh {
  shopId: number
  /** Neither compared with others nor remembered. */
  alone: boolean
  /** Whether it takes the place of an earlier version with the same id. */
  changed: boolean
  arriving: Arriving
  circumstances: Circumstances
}

export interface WeighedArrival {
  signals: Signal[]
  history: ArrivalHistory
  /** Stored with the review; null if it is not compared with others. */
  imprint: StoredImprint | null
}

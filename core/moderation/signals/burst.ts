import { messageCode } from '../../messages/code'
import type { Burst } from '../memory/burst'
import type { Signal } from '../signal'

/** Points for a member of an attack. It also holds a review back by itself. */
const BURST_POINTS = 40

export function burstSignal(burst: Burst | null): Signal | null {
  if (burst === null) return null
  return {
    kind: 'burst',
    points: BURST_POINTS,
    headline: messageCode('signal.burst', { count: burst.count, hours: burst.hours }),
    detail: burst.shared.map((trait) => messageCode(`burst.${trait}`)).join('\n'),
    places: [],
  }
}

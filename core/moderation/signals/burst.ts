import { messageCode } from '../../messages/code'
import type { Burst } from '../memory/burst'
import type { Signal } from '../signal'

/** Points for coming in with an attack. It holds a review by itself as well. */
export const BURST_POINTS = 40

/** One of a sudden crowd that shares more than this shop's customers usually do. */
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

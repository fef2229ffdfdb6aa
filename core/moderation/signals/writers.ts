import type { Writers } from '../../intake/writers'
import { messageCode } from '../../messages/code'
import type { Signal } from '../signal'

/**
 * What is asked of those who write and is still missing: what the form asks of all of them, and a purchase from those
 * who send photos. It holds a review without points.
 */
export function writersSignals(
  writers: Writers,
  { confirmed, verified, photos }: { confirmed: boolean; verified: boolean; photos: number },
): Signal[] {
  return [
    ...(writers === 'anyone' || confirmed ? [] : [missing('unconfirmed')]),
    ...(writers === 'buyers' && !verified ? [missing('unverified')] : []),
    ...(photos > 0 && !verified ? [missing('media')] : []),
  ]
}

function missing(kind: 'unconfirmed' | 'unverified' | 'media'): Signal {
  return {
    kind,
    points: 0,
    headline: messageCode(`signal.${kind}`),
    detail: messageCode(`signal.${kind}Detail`),
    places: [],
  }
}

import type { Writers } from '../../intake/writers'
import { messageCode } from '../../messages/code'
import type { Signal } from '../signal'

/**
 * Missing requirements: those of the form, and a purchase for senders of photos. They hold a review back
 * without points.
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

import type { Writers } from '../../intake/writers'
import { say } from '../../words/say'
import type { Signal } from '../signal'

/** What a form asks of its writers and is still missing. It holds a review without points. */
export function writersSignals(
  writers: Writers,
  { confirmed, verified }: { confirmed: boolean; verified: boolean },
): Signal[] {
  if (writers === 'anyone') return []
  return [
    ...(confirmed ? [] : [missing('unconfirmed')]),
    ...(writers === 'buyers' && !verified ? [missing('unverified')] : []),
  ]
}

function missing(kind: 'unconfirmed' | 'unverified'): Signal {
  return { kind, points: 0, headline: say(`signal.${kind}`), detail: say(`signal.${kind}Detail`), places: [] }
}

import { messageCode } from '../../messages/code'
import type { NearReview } from '../memory/shopHistory'
import type { Reading } from '../reading'
import type { Signal } from '../signal'

/** Points for a copy of one review by someone else, for each further one, and for close copies. */
const FIRST = 44
const FURTHER = 12
const CLOSE = 30
const MOST = 80
/** A copy is close from this similarity on; in another order, words have to be more alike. */
const CLOSE_SHARE = 0.7
const CLOSE_SHARE_REORDERED = 0.8
/** Shorter texts are equal by chance, such as "Great!". */
const FEWEST_WORDS = 7
/** Points for sending one's own text again. */
const OWN_WORDS = 12

/**
 * Text that earlier reviews of the shop contain.
 * @param usual the share of the shop's earlier reviews that had a near-copy, 0 to 1: a copy means little
 * where customers use a template
 */
export function nearCopySignal({ words, body }: Reading, near: NearReview[], usual: number): Signal | null {
  if (near.length === 0 || words.length < FEWEST_WORDS) return null
  const others = near.filter(({ sameSender }) => !sameSender)
  const closest = near.reduce((a, b) => (b.share > a.share ? b : a))
  const isClose = near.some(
    ({ share, reordered }) => share >= (reordered ? CLOSE_SHARE_REORDERED : CLOSE_SHARE),
  )
  const full =
    others.length === 0
      ? OWN_WORDS
      : Math.min(MOST, FIRST + FURTHER * (others.length - 1) + (isClose ? CLOSE : 0))
  const points = Math.round(full * (1 - usual) ** 2)
  if (points === 0) return null
  return {
    kind: 'nearcopy',
    points,
    headline:
      others.length === 0
        ? messageCode('signal.nearcopyOwn', { count: near.length })
        : messageCode('signal.nearcopy', { count: others.length }),
    detail: messageCode(closest.reordered ? 'signal.nearcopyReordered' : 'signal.nearcopyDetail', {
      percent: Math.round(closest.share * 100),
    }),
    places: body === '' ? [] : [{ field: 'body', start: 0, end: body.length }],
  }
}

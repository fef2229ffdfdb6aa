import { messageCode } from '../../messages/code'
import type { NearReview } from '../memory/shopHistory'
import type { Reading } from '../reading'
import type { Signal } from '../signal'

/** Points for the words of one earlier review by somebody else, for each further one, and for close ones. */
const FIRST = 44
const FURTHER = 12
const CLOSE = 30
const MOST = 80
/** From this share of word triples on a copy is close. */
const CLOSE_SHARE = 0.7
/** Shorter texts are the same by chance; two strangers' "Great!" are two. */
const FEWEST_WORDS = 7
/** Points for one's own words sent again. */
const OWN_WORDS = 12

/**
 * Words that earlier reviews of the shop have too.
 * @param usual share of the shop's earlier reviews that had a near-copy themselves, 0 to 1: where customers write from
 * a template, as some shops ask them to, it says little
 */
export function nearCopySignal({ words, body }: Reading, near: NearReview[], usual: number): Signal | null {
  if (near.length === 0 || words.length < FEWEST_WORDS) return null
  const others = near.filter(({ sameSender }) => !sameSender)
  const closest = Math.max(...near.map(({ share }) => share))
  const full =
    others.length === 0
      ? OWN_WORDS
      : Math.min(MOST, FIRST + FURTHER * (others.length - 1) + (closest >= CLOSE_SHARE ? CLOSE : 0))
  const points = Math.round(full * (1 - usual) ** 2)
  if (points === 0) return null
  return {
    kind: 'nearcopy',
    points,
    headline:
      others.length === 0
        ? messageCode('signal.nearcopyOwn', { count: near.length })
        : messageCode('signal.nearcopy', { count: others.length }),
    detail: messageCode('signal.nearcopyDetail', { percent: Math.round(closest * 100) }),
    places: body === '' ? [] : [{ field: 'body', start: 0, end: body.length }],
  }
}

import type { OriginAdapter, Recognised } from '../originAdapter'
import { barrowmere } from './barrowmere'
import { brindlepost } from './brindlepost'
import { lanternway } from './lanternway'

/** A new site is one file and one line here. */
export const originsAt = (host: string): OriginAdapter[] => [
  lanternway(`${host}/lanternway`),
  barrowmere(`${host}/barrowmere`),
  brindlepost(`${host}/brindlepost`),
]

/** The site that an address or id belongs to; null if none knows it. */
export function recogniseOrigin(
  origins: OriginAdapter[],
  text: string,
): { adapter: OriginAdapter; found: Recognised } | null {
  for (const adapter of origins) {
    const found = adapter.recognise(text)
    if (found) return { adapter, found }
  }
  return null
}

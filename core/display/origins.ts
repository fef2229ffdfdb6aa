import { group } from 'd3-array'
import type { Selection } from '../curation/selection'

/** A listing as displays show it. */
export interface ShownListing {
  publicId: string
  /** The site: its id, name, and icon as an SVG path on 16 by 16. */
  origin: string
  site: string
  icon: string
  name: string
  /** Null if visitors get no link to it, and to none of its reviews there. */
  url: string | null
  writeUrl: string | null
  /** A file of the shop. */
  picture: string | null
  /** As the site states them; never worked out from the reviews that it hands over. */
  average: number | null
  scale: number | null
  count: number | null
  /** A disconnected one still has reviews, but its numbers are no longer true. */
  isConnected: boolean
}

/** All listings of one site in a display. */
export interface OriginSummary extends Pick<
  ShownListing,
  'origin' | 'site' | 'icon' | 'average' | 'scale' | 'count'
> {
  /** Of its only listing; null if there are several. */
  url: string | null
  writeUrl: string | null
  /** Reviews here that the display can show. */
  here: number
}

/** The listings that a selection shows reviews of: those that it names, else all if it shows other sites at all. */
export function listingsOf(
  listings: Record<string, ShownListing>,
  { sources, listings: named, forms }: Pick<Selection, 'sources' | 'listings' | 'forms'>,
): ShownListing[] {
  const all = Object.values(listings)
  if (sources.includes('listing') || sources.length + named.length + forms.length === 0) return all
  return all.filter(({ publicId }) => named.includes(publicId))
}

/**
 * One summary for each site, in the order of the listings. The average of several listings is weighted by
 * their counts.
 */
export function originSummaries(listings: ShownListing[], here: Record<string, number>): OriginSummary[] {
  const byOrigin = group(listings, ({ origin }) => origin)
  return [...byOrigin.values()].map((some) => {
    const connected = some.filter(({ isConnected }) => isConnected)
    const rated = connected.filter(({ average, count }) => average !== null && (count ?? 0) > 0)
    const ratedCount = sum(rated.map(({ count }) => count!))
    const only = connected.length === 1 ? connected[0]! : null
    const { origin, icon, scale } = some[0]!
    return {
      origin,
      // Sheets and pages have names of their own.
      site: [...new Set(some.map(({ site }) => site))].join(', '),
      icon,
      scale,
      average:
        ratedCount === 0 ? null : sum(rated.map(({ average, count }) => average! * count!)) / ratedCount,
      count: connected.length === 0 ? null : sum(connected.map(({ count }) => count ?? 0)),
      url: only?.url ?? null,
      writeUrl: only?.writeUrl ?? null,
      here: sum(some.map(({ publicId }) => here[publicId] ?? 0)),
    }
  })
}

const sum = (numbers: number[]) => numbers.reduce((total, one) => total + one, 0)

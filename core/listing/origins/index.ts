import type { OriginAdapter, Recognised } from '../originAdapter'
import { PAGE } from '../sheet/page'
import { pageAdapter } from '../sheet/pageAdapter'
import type { SheetMatching } from '../matching'
import { barrowmere } from './barrowmere'
import { brindlepost } from './brindlepost'
import { lanternway } from './lanternway'

/** A new site is one file and one line here. */
const sites: Record<string, (home: string) => OriginAdapter> = { lanternway, barrowmere, brindlepost }

/**
 * The sites that have an address.
 * @param where an address that all sites stand below, under their names, or `NAME=ADDRESS` of each, parted by commas;
 *   without trailing slashes
 */
export function originsAt(where: string): OriginAdapter[] {
  const own = new Map(where.split(',').flatMap((part) => pairIn(part)))
  return Object.entries(sites).flatMap(([name, adapter]) => {
    const home = own.size > 0 ? own.get(name) : `${where}/${name}`
    return home === undefined ? [] : [adapter(home)]
  })
}

function pairIn(part: string): [string, string][] {
  const [, name, home] = /^\s*([a-z]+)=(\S+?)\/*\s*$/.exec(part) ?? []
  return name && home ? [[name, home]] : []
}

/** The adapter of a listing; undefined for a site that is not there. */
export const adapterFor = (
  origins: OriginAdapter[],
  { origin, externalId, matching }: { origin: string; externalId: string; matching: SheetMatching | null },
): OriginAdapter | undefined =>
  origin === PAGE ? pageAdapter(matching, externalId) : origins.find((one) => one.origin === origin)

/** What visitors read as the place of a review: the site, or the name of the sheet or page. */
export const placeName = (
  origins: OriginAdapter[],
  { origin, name }: { origin: string; name: string },
): string => (origin === PAGE ? name : (origins.find((one) => one.origin === origin)?.name ?? origin))

/** The site that an address or id belongs to; else the sheet or page at an address. Null if it is none. */
export function recogniseOrigin(
  origins: OriginAdapter[],
  text: string,
): { adapter: OriginAdapter; found: Recognised } | null {
  for (const adapter of origins) {
    const found = adapter.recognise(text)
    if (found) return { adapter, found }
  }
  const page = pageAdapter().recognise(text)
  return page && { adapter: pageAdapter(null, page.id), found: page }
}

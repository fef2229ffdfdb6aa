import pLimit from 'p-limit'
import type { Candidate } from '../../core/intake/candidate'
import { storePictureBytes } from '../media/storePicture'
import type { Services } from '../services'

const AT_ONCE = 4
const picture = { mostBytes: 3 * 1_048_576, withinMs: 4000, kinds: /^image\//i }
/** After so many failures in a page, the rest of its writers stay without a picture. */
const MAX_FAILURES = 3

/** Copies a picture of another site, re-encoded; null if it can't be had. */
export async function copyPicture(
  services: Services,
  shopId: number,
  url: string | null,
  longestPx?: number,
): Promise<string | null> {
  if (url === null) return null
  try {
    const { body } = await services.fetchOutside(url, { ...picture, allowedHosts: services.allowedHosts })
    return await storePictureBytes(services, shopId, body, longestPx)
  } catch {
    return null
  }
}

/** Gives candidates the portraits of their writers. A missing one holds nobody up. */
export async function copyPortraits(
  services: Services,
  shopId: number,
  found: { candidate: Candidate; portrait: string | null }[],
): Promise<Candidate[]> {
  const limit = pLimit(AT_ONCE)
  let failures = 0
  return Promise.all(
    found.map(({ candidate, portrait }) =>
      limit(async () => {
        if (portrait === null || failures >= MAX_FAILURES) return candidate
        const name = await copyPicture(services, shopId, portrait)
        if (name === null) failures++
        return { ...candidate, about: { ...candidate.about, portrait: name } }
      }),
    ),
  )
}

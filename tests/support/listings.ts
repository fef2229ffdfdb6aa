import { originsAt } from '../../core/listing/origins'
import { OutsideError } from '../../server/outside/fetchOutside'
import type { Services } from '../../server/services'
import { buildListingSites, type ListingSites } from '../../standins/listings/listingSites'

export const SITES = 'http://sites.example'

/** The stand-in sites within a test's process, with the clock of the test. */
export function sitesFor(
  clock: { now: Date },
  host = SITES,
): {
  sites: ListingSites
  /** Every path that was asked for. */
  asked: string[]
  given: Pick<Services, 'origins' | 'fetchOutside'>
} {
  const sites = buildListingSites(host, () => clock.now)
  const asked: string[] = []
  const fetchOutside: Services['fetchOutside'] = async (address, limits) => {
    const url = new URL(address)
    asked.push(url.pathname + url.search)
    const headers = Object.fromEntries(
      Object.entries(limits.headers ?? {}).map(([name, value]) => [name.toLowerCase(), value]),
    )
    const answer = sites.answer({ method: 'GET', path: url.pathname, query: url.searchParams, headers })!
    const { reply, afterMs } = answer
    if (afterMs > limits.withinMs) throw new OutsideError('slow')
    if (reply.status === 302) throw new OutsideError('private')
    const body = Buffer.from(reply.body)
    if (body.length > limits.mostBytes) throw new OutsideError('tooLarge')
    if (reply.status !== 200 && !limits.anyStatus) throw new OutsideError('status', reply.status)
    return {
      status: reply.status,
      retryAfter: reply.headers?.['Retry-After'] ?? null,
      url: address,
      contentType: reply.headers?.['Content-Type'] ?? '',
      body,
    }
  }
  return { sites, asked, given: { origins: originsAt(host), fetchOutside } }
}

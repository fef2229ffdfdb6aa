import type { Services } from '../services'
import { TaskExhausted } from '../workers/workers'
import { decodeText } from './decodeText'
import { OutsideError, type FetchFailure } from './fetchOutside'

const MOST_BYTES = 3_000_000
const WITHIN_MS = 10_000

/**
 * A page of the shop's site as the background of a display: without scripts, refreshes, frames and forms. It
 * is shown in a sandbox in addition.
 */
export async function readPreviewPage(
  { fetchOutside, allowedHosts, workers }: Pick<Services, 'fetchOutside' | 'allowedHosts' | 'workers'>,
  address: string,
): Promise<
  { outcome: 'page'; html: string; url: string } | { outcome: 'failed'; failure: FetchFailure | 'complex' }
> {
  try {
    const answer = await fetchOutside(address, {
      allowedHosts,
      mostBytes: MOST_BYTES,
      withinMs: WITHIN_MS,
      kinds: /html/i,
    })
    const page = { html: decodeText(answer.body, answer.contentType), url: answer.url }
    const html = await workers.run('stillPage', page)
    return { outcome: 'page', html, url: answer.url }
  } catch (error) {
    if (error instanceof OutsideError) return { outcome: 'failed', failure: error.failure }
    if (error instanceof TaskExhausted) return { outcome: 'failed', failure: 'complex' }
    throw error
  }
}

import { load } from 'cheerio/slim'
import type { Services } from '../services'
import { decodeText } from './decodeText'
import { OutsideError, type FetchFailure } from './fetchOutside'

const MOST_BYTES = 5_000_000
const WITHIN_MS = 10_000

/**
 * A page of the owner's site for a display to be seen in: its looks, without anything that runs, refreshes, frames or
 * answers. It is shown in a sandbox all the same.
 */
export async function stagePage(
  { fetchOutside, allowedHosts }: Pick<Services, 'fetchOutside' | 'allowedHosts'>,
  address: string,
): Promise<{ outcome: 'page'; html: string; url: string } | { outcome: 'failed'; failure: FetchFailure }> {
  try {
    const answer = await fetchOutside(address, {
      allowedHosts,
      mostBytes: MOST_BYTES,
      withinMs: WITHIN_MS,
      kinds: /html/i,
    })
    const html = stilled(decodeText(answer.body, answer.contentType), answer.url)
    return { outcome: 'page', html, url: answer.url }
  } catch (error) {
    if (error instanceof OutsideError) return { outcome: 'failed', failure: error.failure }
    throw error
  }
}

/** A page's HTML without what runs, its addresses going on to lead where they led. */
export function stilled(html: string, url: string): string {
  const $ = load(html)
  $('script, noscript, iframe, frame, object, embed, portal, base, template').remove()
  $('meta[http-equiv]').remove()
  $('link[rel]').each((_, link) => {
    if (!/^(stylesheet|icon)$/i.test($(link).attr('rel')!.trim())) $(link).remove()
  })
  $('*').each((_, element) => {
    for (const name of Object.keys($(element).attr() ?? {}))
      if (/^on/i.test(name) || name === 'autofocus' || name === 'srcdoc') $(element).removeAttr(name)
  })
  const base = `<base href="${url.replace(/&/g, '&amp;').replace(/"/g, '&quot;')}">`
  if ($('head').length > 0) $('head').prepend(base)
  else if ($('html').length > 0) $('html').prepend(`<head>${base}</head>`)
  else return `<!doctype html><head>${base}</head>${$.html()}`
  return $.html()
}

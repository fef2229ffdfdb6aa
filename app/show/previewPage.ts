import { isOwnPage } from '../../core/site/ownPage'
import { say } from '../../core/messages/say/everything'
import { requireShop } from '../account/session'
import { waitWords } from '../waitWords'
import type { Route } from './+types/previewPage'

/**
 * The policy for a page of the shop's site in the editor's sandbox: nothing in it can run, post or be framed
 * elsewhere.
 */
const policy = [
  "default-src 'none'",
  "style-src * 'unsafe-inline' data:",
  'img-src * data: blob:',
  'font-src * data:',
  'media-src *',
  'sandbox allow-same-origin',
  "frame-ancestors 'self'",
].join('; ')

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member } = await requireShop(request, context, params.shop, 'displays')
  const address = new URL(request.url).searchParams.get('page') || shop.siteUrl
  // The page is served from our own origin, so it must be the shop's own.
  if (!isOwnPage(address, shop)) return plain(403, say('show.foreignPage'))
  const wait = await context.throttle.previewPage(member.id)
  if (wait !== null) return plain(429, waitWords(wait), { 'Retry-After': String(wait) })
  const page = await context.elogio.previewPage(address)
  if (page.outcome === 'failed') return plain(502, say(`setUp.failed.${page.failure}`, { status: '' }))
  if (!isOwnPage(page.url, shop)) return plain(403, say('show.foreignPage'))
  return new Response(page.html, {
    headers: {
      'Content-Type': 'text/html; charset=utf-8',
      'Content-Security-Policy': policy,
      'Cache-Control': 'private, max-age=60',
    },
  })
}

function plain(status: number, text: string, headers: Record<string, string> = {}): Response {
  return new Response(text, {
    status,
    headers: { 'Content-Type': 'text/plain; charset=utf-8', 'Content-Security-Policy': policy, ...headers },
  })
}

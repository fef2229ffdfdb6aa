import { say } from '../../core/words/say'
import { requireShop } from '../account/session'
import type { Route } from './+types/stage'

/**
 * A page of the shop's own site for the editor's sandbox: nothing of it may run, post or be framed elsewhere, whatever
 * its HTML still says.
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
  const { shop } = await requireShop(request, context, params.shop)
  const address = new URL(request.url).searchParams.get('page') || shop.siteUrl
  const page = address
    ? await context.elogio.stagePage(address)
    : { outcome: 'failed' as const, failure: 'address' as const }
  const failed = page.outcome === 'failed'
  return new Response(failed ? say(`setUp.failed.${page.failure}`, { status: '' }) : page.html, {
    status: failed ? 502 : 200,
    headers: {
      'Content-Type': failed ? 'text/plain; charset=utf-8' : 'text/html; charset=utf-8',
      'Content-Security-Policy': policy,
      'Cache-Control': 'private, max-age=60',
    },
  })
}

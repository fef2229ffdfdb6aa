import { z } from 'zod'
import { requireShop } from '../account/session'
import { readForm } from '../readForm'
import type { Route } from './+types/scratchPage'

const asked = z.object({
  code: z.string().max(60_000),
  background: z.enum(['white', 'dark', 'coloured']),
})

const looks = {
  white: 'background:#fff;color:#222',
  dark: 'background:#141a1c;color:#e8ecec',
  coloured: 'background:#f4d9b8;color:#33230f',
}

/** A plain page with pasted code. It has no origin, and only our own scripts run. */
export async function action({ request, context, params }: Route.ActionArgs) {
  await requireShop(request, context, params.shop, 'displays')
  const { code, background } = readForm(context, asked)
  const { origin } = new URL(request.url)
  const own = `${origin} ${context.elogio.publicUrl}`
  const policy = [
    "default-src 'none'",
    `script-src ${own}`,
    `connect-src ${own}`,
    `img-src ${own} data:`,
    "style-src 'unsafe-inline'",
    'sandbox allow-scripts',
    "frame-ancestors 'self'",
  ].join('; ')
  return new Response(
    `<!doctype html><meta charset="utf-8"><meta name="viewport" content="width=device-width"><body style="margin:0;padding:32px;font:17px/1.5 system-ui,sans-serif;${looks[background]}">${code}`,
    { headers: { 'Content-Type': 'text/html; charset=utf-8', 'Content-Security-Policy': policy } },
  )
}

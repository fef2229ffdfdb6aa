import { data } from 'react-router'
import type { EvidenceKind } from '../../core/intake/evidence'
import { requireShop } from '../account/session'
import type { Route } from './+types/evidence'

const types: Record<EvidenceKind, string> = {
  png: 'image/png',
  jpeg: 'image/jpeg',
  webp: 'image/webp',
  pdf: 'application/pdf',
  text: 'text/plain; charset=utf-8',
}

/** A file that shows what a customer said, for members of the shop. A PDF is saved, because it can run scripts. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const file = await context.elogio.evidenceFile(shop, params.review, params.file)
  if (!file) throw data(null, { status: 404 })
  const disposition = file.kind === 'pdf' ? 'attachment' : 'inline'
  return new Response(new Uint8Array(file.content), {
    headers: {
      'Content-Type': types[file.kind],
      'Content-Disposition': `${disposition}; filename*=UTF-8''${encodeURIComponent(file.name)}`,
      'Content-Security-Policy': "default-src 'none'; sandbox",
      'X-Content-Type-Options': 'nosniff',
      'Cache-Control': 'private, no-store',
    },
  })
}

import { data, redirect } from 'react-router'
import { z } from 'zod'
import { BODY_LIMIT } from '../../core/intake/submission'
import { requireShop } from '../account/session'
import { readForm } from '../readForm'
import type { Route } from './+types/keepAside'

const aside = z.object({ what: z.enum(['note', 'replyDraft']), text: z.string().max(BODY_LIMIT) })

/** Keeps a note or the draft of a reply as it is typed. */
export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const { what, text } = await readForm(request, aside)
  if (!(await context.elogio.keepAside(shop, params.review, what, text))) throw data(null, { status: 404 })
  return { kept: text }
}

export function loader({ params }: Route.LoaderArgs) {
  return redirect(`/s/${params.shop}/decide/${params.review}`)
}

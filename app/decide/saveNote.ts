import { data, redirect } from 'react-router'
import { z } from 'zod'
import { ALT_LIMIT } from '../../core/intake/photos'
import { BODY_LIMIT } from '../../core/intake/limits'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import type { Route } from './+types/saveNote'

const aside = z.discriminatedUnion('what', [
  z.object({ what: z.enum(['note', 'replyDraft']), text: z.string().max(BODY_LIMIT) }),
  // The description of a photo.
  z.object({ what: z.literal('alt'), photo: z.string().max(40), text: z.string().max(ALT_LIMIT) }),
])

/** Saves a note, the draft of a reply, or the description of a photo, as it is typed. */
export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const given = readForm(context, aside)
  const kept =
    given.what === 'alt'
      ? await context.elogio.savePhotoDescription(shop, params.review, given.photo, given.text.trim())
      : await context.elogio.saveNoteOrDraft(shop, params.review, given.what, given.text)
  if (!kept) throw data(null, { status: 404 })
  return { kept: given.text }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export function loader({ params }: Route.LoaderArgs) {
  return redirect(`/s/${params.shop}/decide/${params.review}`)
}

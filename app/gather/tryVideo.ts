import { data } from 'react-router'
import { requireShop } from '../account/session'
import { storeVideo } from '../public/photos/storeVideo'
import type { Route } from './+types/tryVideo'

/** Stores a piece of the video of a test review before it is sent. */
export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const found = await context.elogio.formToTry(shop, params.form)
  if (!found) throw data(null, { status: 404 })
  return storeVideo(found, { request, context })
}

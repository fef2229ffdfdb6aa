import { data } from 'react-router'
import { requireShop } from '../account/session'
import type { Route } from './+types/miniatures'

/** The layouts as small pictures, for the panels that offer them. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'displays')
  const product = new URL(request.url).searchParams.get('product') || undefined
  const miniatures = await context.elogio.miniatures(shop, params.key, { ...(product && { product }) })
  if (!miniatures) throw data(null, { status: 404 })
  return miniatures
}

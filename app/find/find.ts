import { requireShop } from '../account/session'
import type { Route } from './+types/find'

const MAX_TYPED = 200

/** What a member finds of her shop by some words. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const typed = new URL(request.url).searchParams.get('q') ?? ''
  return Response.json(await context.elogio.find(shop, typed.slice(0, MAX_TYPED)))
}

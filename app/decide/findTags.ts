import { requireShop } from '../account/session'
import type { Route } from './+types/findTags'

/** The tags that contain what a member types into a field. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const words = new URL(request.url).searchParams.get('q') ?? ''
  return Response.json(await context.elogio.findTags(shop, words.slice(0, MAX_TYPED)))
}

const MAX_TYPED = 40

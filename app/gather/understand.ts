import { requireShop } from '../account/session'
import type { Route } from './+types/understand'

const MAX_TEXT = 400

/** Says what was typed into the one field, while it is typed. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member } = await requireShop(request, context, params.shop, 'imports')
  const text = (new URL(request.url).searchParams.get('text') ?? '').slice(0, MAX_TEXT)
  const sites = context.elogio.sites()
  // The text may be a message, so nobody is told to wait.
  if ((await context.throttle.lookUp(member.id)) !== null)
    return { text, understood: { kind: 'message' as const }, sites }
  return { text, understood: await context.elogio.understand(shop, text), sites }
}

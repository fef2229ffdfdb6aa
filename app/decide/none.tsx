import { redirect } from 'react-router'
import { requireShop } from '../account/session'
import { queuePath } from './address'
import { openLane } from './openLane'
import type { Route } from './+types/none'

/** A lane's own address leads to its first review; only an empty lane stays here. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const { lane, rating, show, filter } = await openLane(request, context, shop, undefined)
  const { lines } = await context.elogio.queueView(shop, filter, 1)
  if (lines[0]) throw redirect(queuePath(shop.slug, lines[0].publicId, { lane, rating, show }))
  return null
}

export default function EmptyLane() {
  return <div className="hidden bg-chalk lg:block" />
}

import { redirect } from 'react-router'
import { requireShop } from '../account/session'
import { queuePath } from './address'
import { openLane } from './openLane'
import { UndoLast } from './UndoLast'
import type { Route } from './+types/none'

/** A lane's own address leads to its first review; only an empty lane stays here. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  const { lane, rating, show, filter } = await openLane(request, context, shop, undefined)
  const { lines } = await context.elogio.queueView(shop, filter, 1)
  if (lines[0]) throw redirect(queuePath(shop.slug, lines[0].publicId, { lane, rating, show }))
  return { lastAct: await context.elogio.latestOwnAct(shop, member) }
}

export default function EmptyLane({ loaderData, params }: Route.ComponentProps) {
  return (
    <div className="flex flex-col justify-end">
      <div className="flex min-h-[72px] items-center border-t border-line bg-paper px-9 py-3">
        <UndoLast shop={params.shop} lastAct={loaderData.lastAct} />
      </div>
    </div>
  )
}

import { redirect, useOutletContext } from 'react-router'
import { requireShop } from '../account/session'
import { queuePath } from './address'
import { openLane } from './openLane'
import type { QueueContext } from './queue'
import { UndoLast } from './UndoLast'
import type { Route } from './+types/noSelection'

/** The address of a lane redirects to its first review, unless it is empty or the list was requested. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop)
  const { search, filter } = await openLane(request, context, shop, undefined)
  const first = await context.elogio.firstInLane(shop, filter)
  if (first && !new URL(request.url).searchParams.has('list'))
    throw redirect(queuePath(shop.slug, first, search))
  return {
    lastAct: await context.elogio.latestOwnAct(shop, actor),
    canUndo: await context.elogio.canUndo(shop, actor),
  }
}

export default function EmptyLane({ loaderData, params }: Route.ComponentProps) {
  const { message } = useOutletContext<QueueContext>()
  return (
    <div className="flex flex-col justify-end">
      <div className="flex min-h-[72px] items-center border-t border-line bg-paper px-4 py-3 lg:px-9">
        <UndoLast
          shop={params.shop}
          lastAct={loaderData.lastAct}
          canUndo={loaderData.canUndo}
          problem={message}
        />
      </div>
    </div>
  )
}

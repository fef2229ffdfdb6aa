import { useEffect, useRef } from 'react'
import { Link, redirect, useNavigate, useOutletContext } from 'react-router'
import { say } from '../../core/messages/say/decide'
import { requireShop } from '../account/session'
import { useShortcut } from '../components/useShortcut'
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
  const { message, isDone, nextLane } = useOutletContext<QueueContext>()
  return (
    <div className="flex flex-col">
      <div className="grid flex-1 place-items-center p-6">
        {isDone && nextLane && <NextLane shop={params.shop} {...nextLane} />}
      </div>
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

/** A list that is done leads on to the other one with undecided reviews: a click, Enter or the arrow down. */
function NextLane({ shop, lane, count }: { shop: string } & NonNullable<QueueContext['nextLane']>) {
  const address = queuePath(shop, null, { lane })
  const link = useRef<HTMLAnchorElement>(null)
  const navigate = useNavigate()
  useShortcut('down', () => void navigate(address))
  useEffect(() => {
    // Whoever has just decided on the last one needs no mouse; a field that is typed in keeps its keys.
    if (document.activeElement === document.body) link.current?.focus()
  }, [])
  return (
    <Link ref={link} to={address} className="btn btn-primary h-12 px-6 text-[15px]">
      {say(`decide.onTo.${lane}`, { count })}
    </Link>
  )
}

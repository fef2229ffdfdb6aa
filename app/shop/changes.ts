import { requireShop, sessionToken } from '../account/session'
import type { Route } from './+types/changes'

/** Proxies close silent connections. */
const HEARTBEAT_MS = 25_000

/**
 * Server-sent events: one event for each change of the shop, without content. Loaders fetch the changes. The
 * stream ends with the session.
 */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  const token = (await sessionToken(request, context))!
  // A page that shows no list of reviews does not load again for each of them.
  const search = new URL(request.url).searchParams
  const without = search.get('without') === 'reviews' ? 'reviews' : null
  const tab = search.get('tab') ?? ''
  const encoder = new TextEncoder()
  let stop: () => void = () => undefined
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let open = true
      const end = () => {
        if (!open) return
        open = false
        clearInterval(heartbeat)
        stopListening()
        controller.close()
      }
      const send = (line: string) => {
        if (open) controller.enqueue(encoder.encode(line))
      }
      const beat = async () => {
        if (await context.elogio.findSession(token)) send(': still here\n\n')
        else end()
      }
      const heartbeat = setInterval(() => void beat().catch(end), HEARTBEAT_MS)
      const stopListening = context.elogio.listenToChanges(
        { shop, member, token },
        { heard: () => send('data: changed\n\n'), without, tab, end },
      )
      request.signal.addEventListener('abort', end)
      send('retry: 2000\n\n')
      stop = end
    },
    cancel: () => stop(),
  })
  return new Response(body, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
  })
}

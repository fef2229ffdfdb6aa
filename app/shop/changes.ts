import { requireShop } from '../account/session'
import type { Route } from './+types/changes'

/** Proxies close what is silent for long. */
const HEARTBEAT_MS = 25_000

/** Server-sent events: one line whenever something of the shop has changed. What changed is for the loaders to say. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const encoder = new TextEncoder()
  let end: () => void = () => undefined
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (line: string) => controller.enqueue(encoder.encode(line))
      const stopListening = context.elogio.listenToChanges(shop, () => send('data: changed\n\n'))
      const heartbeat = setInterval(() => send(': still here\n\n'), HEARTBEAT_MS)
      end = () => {
        stopListening()
        clearInterval(heartbeat)
      }
      request.signal.addEventListener('abort', () => end())
      send('retry: 2000\n\n')
    },
    cancel: () => end(),
  })
  return new Response(body, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
  })
}

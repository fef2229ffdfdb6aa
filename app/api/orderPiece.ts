import { z } from 'zod'
import { say } from '../../core/messages/say/everything'
import { requireShop } from '../account/session'
import { storageFaultIn } from '../storageProblem'
import type { Route } from './+types/orderPiece'

const asked = z.object({
  upload: z.string().regex(/^[a-z0-9]{8,40}$/),
  at: z.coerce.number().int().min(0),
})

/** Stores a chunk of an order file. Answers with the number of stored bytes. */
export async function action({ params, request, context }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'imports')
  const piece = asked.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!piece.success) return refused(400, say('bringOrders.badPiece'))
  try {
    const bytes = new Uint8Array(await request.arrayBuffer())
    const kept = await context.elogio.keepOrderPiece(shop.id, { ...piece.data, bytes })
    return 'refused' in kept ? refused(413, say('bringOrders.tooLarge')) : Response.json(kept)
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    return refused(503, say('bringOrders.noRoom'))
  }
}

const refused = (status: number, problem: string) => Response.json({ problem }, { status })

export function loader() {
  return refused(405, say('problem.wrongType'))
}

import { z } from 'zod'
import { requireShop } from '../account/session'
import { readForm } from '../readForm'
import type { Route } from './+types/attack'

const asked = z.object({ group: z.coerce.number().int(), holds: z.enum(['yes', 'no']) })

/** Holds newcomers like those of an attack back, or lets them through. */
export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const { group, holds } = readForm(context, asked)
  await context.elogio.holdNewcomers(shop, group, holds === 'yes')
  return null
}

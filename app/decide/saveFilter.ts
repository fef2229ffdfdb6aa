import { redirect } from 'react-router'
import { z } from 'zod'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import { queueQuery, readQueueSearch } from './address'
import type { Route } from './+types/saveFilter'

const wish = z.union([
  z.object({ forget: z.string().max(40) }),
  z.object({ name: z.string().trim().min(1).max(40), query: z.string().max(1000) }),
])

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const asked = readForm(context, wish)
  if ('forget' in asked) await context.elogio.deleteView(shop, asked.forget)
  else {
    const query = queueQuery(readQueueSearch(new URLSearchParams(asked.query)))
    await context.elogio.saveView(shop, asked.name, query)
  }
  return null
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export function loader({ params }: Route.LoaderArgs) {
  return redirect(`/s/${params.shop}/decide`)
}

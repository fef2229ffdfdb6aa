import { redirect } from 'react-router'
import { z } from 'zod'
import { reviewActSchema } from '../../core/moderation/reviewAct'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { jsonText, readForm } from '../readForm'
import { openLane } from './openLane'
import type { Route } from './+types/bulkAction'

const MOST_TICKED = 2000

const chosen = z.object({
  act: jsonText(reviewActSchema),
  /** "PUBLICID:REVISION", separated by commas; empty if the filter selects. */
  ids: z
    .string()
    .regex(/^([a-z0-9]{1,40}:\d+(,|$))*$/)
    .transform((text) =>
      text
        .split(',')
        .filter(Boolean)
        .map((one) => ({ publicId: one.split(':')[0]!, revision: Number(one.split(':')[1]) })),
    )
    .refine((ids) => ids.length <= MOST_TICKED),
  /** When the list was read. */
  at: z.iso.datetime(),
})

/** An action on the selected reviews, or on all matches of the filter. */
export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop)
  const { act, ids, at } = readForm(context, chosen)
  const { filter } = await openLane(request, context, shop, undefined)
  const targets = ids.length > 0 ? ids : await context.elogio.allInLane(shop, filter, at)
  return { many: await context.elogio.decideMany(shop, actor, targets, act) }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export function loader({ params }: Route.LoaderArgs) {
  return redirect(`/s/${params.shop}/decide`)
}

import { redirect } from 'react-router'
import { z } from 'zod'
import { say } from '../../core/words/say'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import { queuePath } from './address'
import type { Route } from './+types/undo'

const fields = z.object({ passing: z.string().default('') })

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  const { passing } = await readForm(request, fields)
  const passed = passing.split(',').map(Number).filter(Number.isInteger)
  const result = await context.elogio.undo(shop, member, passed)
  switch (result.outcome) {
    case 'done':
      return redirect(queuePath(shop.slug, result.review.publicId, { lane: result.state }))
    case 'nothing':
      return { problem: say('decide.nothingToUndo'), passing: '' }
    case 'overtaken': {
      const { authorName, state } = result.review
      return {
        problem: say('decide.undoBlocked', { name: authorName, state: say(`state.${state}`).toLowerCase() }),
        passing: [...passed, result.decisionId].join(','),
      }
    }
  }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export function loader({ params }: Route.LoaderArgs) {
  return redirect(`/s/${params.shop}/decide`)
}

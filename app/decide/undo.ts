import { redirect } from 'react-router'
import { writerInSentence } from '../../core/messages/writerName'
import { z } from 'zod'
import { say } from '../../core/messages/say/decide'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import { queuePath } from './address'
import type { Route } from './+types/undo'

/** A list of SQLite has 32,766 values at most, and nobody passes over as many decisions. */
const MOST_PASSED = 500

const fields = z.object({
  passing: z.string().default(''),
  /** A decision by its number in the review's log; otherwise the member's latest. */
  review: z.string().max(40).optional(),
  number: z.coerce.number().int().optional(),
})

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop)
  const { passing, review, number } = readForm(context, fields)
  const passed = passing.split(',').map(Number).filter(Number.isInteger).slice(-MOST_PASSED)
  const result =
    review !== undefined && number !== undefined
      ? await context.elogio.undoFromLog(shop, actor, review, number)
      : await context.elogio.undo(shop, actor, passed)
  switch (result.outcome) {
    case 'done':
      return redirect(queuePath(shop.slug, result.review.publicId, { lane: result.state }))
    case 'nothing':
      return { problem: say('decide.nothingToUndo'), passing: '' }
    case 'overtaken':
    case 'confirmed': {
      const { authorName, state } = result.review
      const words = { name: writerInSentence(authorName), state: say(`state.${state}`).toLowerCase() }
      return {
        problem: say(result.outcome === 'confirmed' ? 'decide.undoConfirmed' : 'decide.undoBlocked', words),
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

import { say } from '../../core/messages/say/decide'
import { requireShop } from '../account/session'
import { storageWords } from '../storageProblem'
import type { Route } from './+types/askToRemove'

/** Asks the writer of a review to remove personal data from it. */
export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop)
  try {
    const outcome = await context.elogio.askToRemove(shop, actor, params.review)
    return { outcome, words: say(`remove.${outcome}`) }
  } catch (error) {
    const words = storageWords(error)
    if (!words) throw error
    return { outcome: 'notStored' as const, words }
  }
}

import { say } from '../../core/messages/say/decide'
import { requireShop } from '../account/session'
import { storageWords } from '../storageProblem'
import type { Route } from './+types/requestConfirmation'

/** Asks a customer to confirm a review that the shop added. */
export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop)
  const address = String(context.form?.get('address') ?? '').trim()
  try {
    const outcome = await context.elogio.askCustomerToConfirm(shop, actor, params.review, address)
    return { outcome, words: say(`ask.${outcome}`, { address }) }
  } catch (error) {
    const words = storageWords(error)
    if (!words) throw error
    return { outcome: 'notStored' as const, words }
  }
}

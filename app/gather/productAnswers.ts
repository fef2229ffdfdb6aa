import { data } from 'react-router'
import { say } from '../../core/messages/say/products'
import type { UndoProductOutcome } from '../../server/collection/products'

/** What an action on a product answers. */
export type ProductAnswer =
  | { done: string; change: string }
  | { errors: Record<string, string[] | undefined> }
  | { problem: string }

export function undoAnswer(result: UndoProductOutcome) {
  switch (result.outcome) {
    case 'done':
      return { done: say('products.done.undo', result), change: '' }
    case 'gone':
      return data({ problem: say('products.error.gone') }, { status: 409 })
    case 'skuTaken':
      return data({ problem: say('products.error.skuTakenSince', result) }, { status: 409 })
    default:
      return data({ problem: say(`products.error.${result.outcome}`, result) }, { status: 409 })
  }
}

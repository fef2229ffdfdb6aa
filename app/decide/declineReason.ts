import { messageCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/decide'

/** Stored as codes, so that each customer reads them in her language. */
export const declineReasons = ['offTopic', 'elsewhere', 'personal', 'rude', 'twice', 'advert'] as const

/** The code of a suggested reason, otherwise the text itself. */
export function storedReason(typed: string): string {
  const known = declineReasons.find((reason) => say(`declineReason.${reason}`) === typed.trim())
  return known ? messageCode(`declineReason.${known}`) : typed.trim()
}

import { messageCode } from '../core/messages/code'

/**
 * The message code for too many attempts.
 * @param seconds until the next attempt
 */
export function waitCode(seconds: number): string {
  return messageCode('problem.wait', { count: Math.ceil(seconds / 60) })
}

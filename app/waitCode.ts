import { messageCode } from '../core/messages/code'

/** What somebody who tried too often is told, as a message code. @param seconds until there is room again */
export function waitCode(seconds: number): string {
  return messageCode('problem.wait', { count: Math.ceil(seconds / 60) })
}

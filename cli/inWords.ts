import { translateCode } from '../core/messages/code'
import { say } from '../core/messages/say/everything'

/** What a terminal shows of an error. */
export const inWords = (error: unknown): unknown =>
  error instanceof Error ? translateCode(say, error.message) : error

import { MOST_MATCHES } from '../../core/moderation/searchWords'
import { say } from '../../core/messages/say/decide'

/** "14", or "100 or more". */
export const matchCount = (count: number): string =>
  count < MOST_MATCHES ? String(count) : say('decide.manyMatches', { count: MOST_MATCHES })

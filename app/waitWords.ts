import { say } from '../core/words/say'

/** What somebody who tried too often is told. @param seconds until there is room again */
export function waitWords(seconds: number): string {
  return say('settings.wait', { count: Math.ceil(seconds / 60) })
}

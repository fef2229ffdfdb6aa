import type { IncomingMessage } from 'node:http'

/** Whether a form's address is asked for its JSON: the router has that answer at an address of its own. */
export function wantsFormJson({ url, headers }: Pick<IncomingMessage, 'url' | 'headers'>): boolean {
  return /^\/f\/[^/?]+(\?|$)/.test(url ?? '') && /\bapplication\/json\b/.test(headers.accept ?? '')
}

import type { IncomingMessage } from 'node:http'

/** Whether a form is requested as JSON, which has a route of its own. */
export function wantsFormJson({ url, headers }: Pick<IncomingMessage, 'url' | 'headers'>): boolean {
  return /^\/f\/[^/?]+(\?|$)/.test(url ?? '') && /\bapplication\/json\b/.test(headers.accept ?? '')
}

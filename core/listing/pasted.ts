/**
 * The path and query of an address on a site, whatever stands around it: spaces, angle brackets, words before
 * it, a missing protocol. Null if the text has no address there.
 */
export function addressOn(home: string, text: string): URL | null {
  const { host, pathname } = new URL(home)
  for (const [word] of text.slice(0, 2000).matchAll(/[^\s<>"'()[\]]+/g)) {
    const address = word.replace(/[.,;:!]+$/, '')
    const whole = /^https?:\/\//i.test(address) ? address : `http://${address}`
    if (!URL.canParse(whole)) continue
    const url = new URL(whole)
    if (url.host.replace(/^(www|m)\./, '') === host && startsWithPath(url.pathname, pathname)) return url
  }
  return null
}

const startsWithPath = (path: string, start: string) =>
  start === '/' || path === start || path.startsWith(`${start}/`)

/** The first address in a text; null if it has none. */
export function firstAddress(text: string): string | null {
  const found = /(?:https?:\/\/|www\.)[^\s<>"']+|\b[\p{L}\d-]+(?:\.[\p{L}\d-]+)+(?:\/[^\s<>"']*)/iu.exec(
    text.slice(0, 2000),
  )
  return found && found[0].replace(/[.,;:!]+$/, '')
}

const MAX_NAME_WORDS = 7
const MAX_NAME_LENGTH = 60

/** Whether a text can be the name of a business rather than a message. */
export function looksLikeName(text: string): boolean {
  const line = text.trim()
  return (
    line.length >= 3 &&
    line.length <= MAX_NAME_LENGTH &&
    !/[\n!?"“”:;]|[.,]\s+\p{Ll}/u.test(line) &&
    line.split(/\s+/).length <= MAX_NAME_WORDS
  )
}

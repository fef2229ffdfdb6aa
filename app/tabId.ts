let own = ''

/** A random id of this browser tab, until it is reloaded. */
export function tabId(): string {
  if (own === '') {
    const bytes = crypto.getRandomValues(new Uint8Array(9))
    own = btoa(String.fromCharCode(...bytes)).replace(/[+/]/g, '_')
  }
  return own
}

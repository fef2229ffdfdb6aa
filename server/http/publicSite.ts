const loopbackNames = new Set(['localhost', '127.0.0.1', '[::1]'])

/** Where people reach the application, as `PUBLIC_URL` says. The Host header of a request decides nothing here. */
export interface PublicSite {
  /** `https://reviews.example`, without a path. */
  origin: string
  host: string
  protocol: string
  /** Whether it is an address of this machine alone. */
  isLocal: boolean
  /** Whether a page sent with this `Origin` header is our own. */
  isOwnOrigin: (origin: string) => boolean
  /** Where a page asked for under another host is instead; null when it is right where it is. */
  elsewhere: (host: string | undefined, target: string) => string | null
}

/** @param publicUrl as configured; a loopback one goes by all of its names, as in the demo */
export function publicSiteOf(publicUrl: string): PublicSite {
  const { origin, host, hostname, protocol, port } = new URL(publicUrl)
  const suffix = port === '' ? '' : `:${port}`
  const origins = new Set([origin])
  if (loopbackNames.has(hostname))
    for (const name of loopbackNames) origins.add(`${protocol}//${name}${suffix}`)
  return {
    origin,
    host,
    protocol,
    isLocal: loopbackNames.has(hostname),
    isOwnOrigin: (given) => origins.has(given),
    elsewhere: (asked, target) => {
      const name = asked?.toLowerCase()
      // A proxy that does not pass on the host asks for a loopback one: sent away, its visitors would come back for ever.
      if (name === undefined || name === host || loopbackNames.has(name.replace(/:\d+$/, ''))) return null
      return origin + target
    },
  }
}

const loopbackNames = new Set(['localhost', '127.0.0.1', '[::1]'])

/** The public address, from `PUBLIC_URL`. The Host header of a request changes nothing. */
export interface PublicSite {
  /** `https://reviews.example`, without a path. */
  origin: string
  host: string
  protocol: string
  /** Whether it is a loopback address. */
  isLocal: boolean
  /** Whether an `Origin` header is ours. */
  isOwnOrigin: (origin: string) => boolean
  /** The correct address for a page requested under another host; null if it is correct. */
  elsewhere: (host: string | undefined, target: string) => string | null
}

/** @param publicUrl from the configuration; a loopback address has several names */
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
      // A proxy that doesn't pass on the host asks for a loopback address. A redirect would send its
      // visitors round in circles.
      if (name === undefined || name === host || loopbackNames.has(name.replace(/:\d+$/, ''))) return null
      return origin + target
    },
  }
}

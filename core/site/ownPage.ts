/** Whether a host is one of the shop's own domains or lies below one. */
export function isOwnHost(host: string, ownDomains: string[]): boolean {
  return ownDomains.some((own) => host === own.toLowerCase() || host.endsWith(`.${own.toLowerCase()}`))
}

/** Whether an address is a page of the shop's own site: on its domains, or on the very host of its site. */
export function isOwnPage(
  address: string,
  { siteUrl, ownDomains }: { siteUrl: string; ownDomains: string[] },
): boolean {
  if (!URL.canParse(address)) return false
  const { host, hostname, protocol } = new URL(address)
  if (protocol !== 'http:' && protocol !== 'https:') return false
  return isOwnHost(hostname, ownDomains) || (URL.canParse(siteUrl) && host === new URL(siteUrl).host)
}

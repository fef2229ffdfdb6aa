/** Whether a host is one of the shop's domains or a subdomain. */
export function isOwnHost(host: string, ownDomains: string[]): boolean {
  return ownDomains.some((own) => host === own.toLowerCase() || host.endsWith(`.${own.toLowerCase()}`))
}

/** Whether an address belongs to the shop's site: its domains, or the host of its site. */
export function isOwnPage(
  address: string,
  { siteUrl, ownDomains }: { siteUrl: string; ownDomains: string[] },
): boolean {
  if (!URL.canParse(address)) return false
  const { host, hostname, protocol } = new URL(address)
  if (protocol !== 'http:' && protocol !== 'https:') return false
  return isOwnHost(hostname, ownDomains) || (URL.canParse(siteUrl) && host === new URL(siteUrl).host)
}

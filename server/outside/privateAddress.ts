import ipaddr from 'ipaddr.js'

/** Whether an IP address is anything but a public one: local, private, shared, reserved, or mapped onto such. */
export function isPrivateAddress(address: string): boolean {
  if (!ipaddr.isValid(address)) return true
  return ipaddr.process(address).range() !== 'unicast'
}

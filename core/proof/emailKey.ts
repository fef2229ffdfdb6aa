import { z } from 'zod'

const shape = z.email()
/** As nearly all are typed, so that nothing has to be taken off. */
const plain = /^[\w.%-]+@[a-z0-9.-]+\.[a-z]+$/i

/**
 * The key under which an email address is one: without a display name, `mailto:` and what follows a `?`, its case and the
 * part after a plus. Dots count, and other domains are others. Empty for what is no address.
 */
export function emailKeyOf(typed: string): string {
  if (plain.test(typed)) return typed.toLowerCase()
  const address = bareAddress(typed).normalize('NFKC').toLowerCase()
  const at = address.lastIndexOf('@')
  const person = address.slice(0, at).replace(/(?<=.)\+.*$/u, '')
  const domain = asciiDomain(address.slice(at + 1).replace(/\.$/u, ''))
  return at > 0 && domain && !/\s/u.test(person) ? `${person}@${domain}` : ''
}

/**
 * The key under which an email address has its limits. Many providers deliver an address with and without dots, so dots
 * do not count here; for proof they do.
 */
export function recipientKey(typed: string): string {
  const key = emailKeyOf(typed)
  const at = key.lastIndexOf('@')
  return key.slice(0, at).replaceAll('.', '') + key.slice(at)
}

/** Whether an email can be sent there as it is typed. */
export function isAddress(typed: string): boolean {
  return shape.safeParse(typed).success
}

function bareAddress(typed: string): string {
  const angled = /<\s*([^<>]+?)\s*>\s*$/u.exec(typed)?.[1]
  return (angled ?? typed)
    .trim()
    .replace(/^mailto:\s*/iu, '')
    .replace(/\?.*$/u, '')
    .replace(/^["']+|["',;.]+$/gu, '')
    .trim()
}

function asciiDomain(domain: string): string {
  if (!/^[^\s@/:?#[\]]+\.[^\s@/:?#[\]]+$/u.test(domain)) return ''
  if (/^[a-z0-9.-]+$/u.test(domain)) return domain
  try {
    return new URL(`http://${domain}`).hostname
  } catch {
    return ''
  }
}

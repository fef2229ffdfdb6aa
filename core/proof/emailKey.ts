import { z } from 'zod'

const shape = z.email()
/** Nearly all addresses match and need no changes. */
const plain = /^[\w.%-]+@[a-z0-9.-]+\.[a-z]+$/i

/**
 * The key under which two spellings of an email address are equal: without display name, `mailto:`, query,
 * case and the part after a plus. Dots count. Empty if it is no address.
 */
export function emailKeyOf(typed: string): string {
  if (plain.test(typed)) return typed.toLowerCase()
  const address = bareAddress(typed).normalize('NFKC').toLowerCase()
  const at = address.lastIndexOf('@')
  const person = address.slice(0, at).replace(/(?<=.)\+.*$/u, '')
  const domain = asciiDomain(address.slice(at + 1).replace(/\.$/u, ''))
  return at > 0 && domain && !/\s/u.test(person) ? `${person}@${domain}` : ''
}

/** The key for rate limits. Many providers ignore dots, so they don't count here, unlike for verification. */
export function recipientKey(typed: string): string {
  const key = emailKeyOf(typed)
  const at = key.lastIndexOf('@')
  return key.slice(0, at).replaceAll('.', '') + key.slice(at)
}

/** Whether an email can be sent to this text. */
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

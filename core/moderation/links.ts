import { LinkifyIt } from 'linkify-it'
import { getDomain, parse } from 'tldts'
import { say } from '../words/say'
import { placesOf, textAt, type Signal, type Words } from './signal'

/** Points for a link to somewhere else; with one other sign it reaches held (60). */
export const LINK_POINTS = 36

const linkify = new LinkifyIt({ fuzzyLink: true, fuzzyEmail: true })
linkify.tlds(
  'example online store site xyz club top live vip app dev blog deals sale market buzz click link space website tech'.split(
    ' ',
  ),
  true,
)

/** Country endings that are also words, so that "Great.It works" is a missing space and not an address. */
const wordEndings = new Set('it is in at to so me no my be am us do as es la de se si un'.split(' '))

export interface FoundLink {
  start: number
  end: number
  host: string
}

const spokenDot =
  /\b([a-z0-9][a-z0-9-]{1,60})\s*(?:\(dot\)|\[dot\]|\s+dot\s+|\[\.\]|\(\.\))\s*([a-z]{2,12})\b/giu

/** Web addresses in a text, also bare domains and "shop dot example"; mailboxes are not links. */
export function findLinks(text: string): FoundLink[] {
  const written = (linkify.match(text) ?? [])
    .filter((match) => match.schema !== 'mailto:')
    .filter((match) => !isMissingSpace(match.text, text.slice(0, match.index)))
    .map((match) => ({ start: match.index, end: match.lastIndex, host: hostOf(match.url) }))
  const spoken = [...text.matchAll(spokenDot)]
    .map((match) => ({ match, host: `${match[1]}.${match[2]}`.toLowerCase() }))
    .filter(({ host }) => isDomain(host))
    .map(({ match, host }) => ({ start: match.index, end: match.index + match[0].length, host }))
  return [...written, ...spoken].filter((link) => link.host).sort((a, b) => a.start - b.start)
}

function isDomain(host: string): boolean {
  const { isIcann, publicSuffix, domain } = parse(host)
  return domain !== null && (isIcann === true || publicSuffix === 'example')
}

function hostOf(url: string): string {
  return parse(url).hostname?.toLowerCase() ?? ''
}

function isMissingSpace(found: string, before: string): boolean {
  if (/[/:]|^www\./iu.test(found)) return false
  const parts = found.split('.')
  const ending = parts.at(-1) ?? ''
  if (/^\p{Lu}/u.test(ending) && ending !== ending.toUpperCase()) return true
  return (
    parts.length === 2 &&
    wordEndings.has(ending.toLowerCase()) &&
    !/\b(at|on|visit|see|via|bei|auf|sur|en)\s+$/iu.test(before)
  )
}

/** Whether a host is one of the shop's own domains or lies below one. */
export function isOwnHost(host: string, ownDomains: string[]): boolean {
  return ownDomains.some((own) => host === own.toLowerCase() || host.endsWith(`.${own.toLowerCase()}`))
}

/** A link to somewhere that is not the shop's own. */
export function linkSignal(words: Words, ownDomains: string[]): Signal | null {
  const foreign = (text: string) => findLinks(text).filter((link) => !isOwnHost(link.host, ownDomains))
  const places = placesOf(words, foreign)
  if (places.length === 0) return null
  const hosts = places.map((place) => findLinks(textAt(words, place))[0]?.host ?? textAt(words, place))
  const domains = [...new Set(hosts.map((host) => getDomain(host) ?? host))]
  return {
    kind: 'link',
    points: LINK_POINTS,
    headline: say('signal.link'),
    detail: domains.join(', '),
    places,
  }
}

import { LinkifyIt } from 'linkify-it'
import { getDomain, parse } from 'tldts'
import { isOwnHost } from '../../site/ownPage'
import { messageCode } from '../../messages/code'
import { UNSEEN, wordTags } from '../plainWord'
import { readWords, seenSigns, type Reading } from '../reading'
import { placesOf, quoted, type Signal } from '../signal'
import { spelledOutEmails } from './spelledOutEmails'

/** Points for a link to another site; with one other signal it reaches held (60). */
const LINK_POINTS = 36
/** Additional points for several links, and for a hidden one. */
const SEVERAL_POINTS = 12
const OFFER_POINTS = 20
const HIDDEN_POINTS = 38

const linkify = new LinkifyIt({ fuzzyLink: true, fuzzyEmail: true })
linkify.tlds(
  'example test invalid online store site xyz club top live vip app dev blog deals sale market buzz click link space website tech'.split(
    ' ',
  ),
  true,
)

/** Country domains that are words, so that "Great.It works" is a missing space. */
const wordEndings = new Set('it is in at to so me no my be am us do as es la de se si un'.split(' '))

interface FoundLink {
  start: number
  end: number
  host: string
  /** Spelled out, split, or behind other words. */
  hidden: boolean
}

const ENDINGS = 'com|net|org|example|test|invalid|shop|store|online|info|biz|site|xyz|club|top|app|io|eu'
/** "hivedeals dot example", "hivedeals (punkt) example" */
const spoken = new RegExp(
  String.raw`\b([a-z0-9][a-z0-9-]{1,60})\s*(?:[([{]\s*(?:dot|punkt|point|punto|punt|kropka|ponto|\.)\s*[)\]}]|\s(?:dot|punkt|kropka)\s|\s(?:point|punto|ponto|punt)\s(?=(?:${ENDINGS})\b))\s*([a-z]{2,12})\b`,
  'giu',
)
/** "hivedeals . example", "hivedeals. com", "hivedeals,com" */
const spaced = new RegExp(
  String.raw`\b([a-z0-9][a-z0-9-]{2,60})(?:\s+\.\s*(${ENDINGS})|\.\s+(com|net|org|xyz)|,(com|net|org|example))\b`,
  'giu',
)
/** "h i v e d e a l s . e x a m p l e", "h i v e d e a l s . example"; a name has 63 letters at most. */
const spelled = new RegExp(
  String.raw`(?<![\p{L}\p{N}])(?:[a-z0-9][\s*_|]{1,9}){4,63}(?:(?:\.|dot)[\s*_|]*)(?:(?:[a-z][\s*_|]+){1,9}[a-z]|(?:${ENDINGS}))(?![\p{L}\p{N}])`,
  'giu',
)
/** "hxxp://", "h t t p : / /" */
const disguisedScheme =
  /\bh\s*[tx]\s*[tx]\s*p\s*s?\s*:\s*\/\s*\/\s*(?<host>[a-z0-9-]+(?:\s*(?:\.|[([{]\s*(?:\.|dot)\s*[)\]}])\s*[a-z0-9-]+)+)/giu
/** Markup, which only programs write. */
const coded =
  /<a\s[^>]{0,200}href\s*=\s*["']?(?<host>[^"'\s>]{3,200})|\[url[=\]]\s*(?<bb>[^\s\]]{3,200})|\[[^\]\n]{1,80}\]\((?<md>https?:[^\s)]{3,200})\)/giu

/** What the linked site offers. */
const offers =
  /(?<![\p{L}\p{N}])(?:cheap\p{L}*|deals?|sale|discounts?|offers?|bonus\p{L}*|free|gratis|kostenlos\p{L}*|günstig\p{L}*|billig\p{L}*|rabatt\p{L}*|angebot\p{L}*|freispiel\p{L}*|gutschein\p{L}*|barat\p{L}*|ofertas?|descuento\p{L}*|regalos?|promo\p{L}*|remises?|gratuit\p{L}*|cadeaux?|moins cher|sconto|sconti|offert\p{L}*|costa meno|goedkop\p{L}*|korting\p{L}*|tani\p{L}*|zniżk\p{L}*|(?:lower|best|better) (?:prices?|cost)|lower cost|more info\p{L}*|mehr (?:infos?|auswahl)|click|earn|win|cash|money|geld|argent|dinero|soldi|without (?:any )?exam|i (?:sell|offer)|my (?:shop|store))(?![\p{L}\p{N}])/iu

/** Web addresses in a text, including bare and hidden domains. Email addresses are no links. */
export function findLinks(given: string): FoundLink[] {
  const { tags, signs } = readWords({ title: '', body: given })
  return linksIn(given, tags, signs)
}

/** Whether a review has a characteristic without which it contains no link. */
export function mayLink({ tags, signs }: Pick<Reading, 'tags' | 'signs'>): boolean {
  const { joint, parted, bracket, scheme, lettered } = seenSigns
  return (signs & (joint | parted | bracket | scheme | lettered)) !== 0 || (tags & wordTags.dot) !== 0
}

/** Each notation is searched only if the text has the characteristic that it needs. */
function linksIn(given: string, tags: number, signs: number): FoundLink[] {
  if (!mayLink({ tags, signs })) return []
  const { joint, parted, bracket, unseen, scheme, lettered } = seenSigns
  const has = (some: number) => (signs & some) !== 0
  const { text, placeIn } = has(unseen) ? withoutUnseen(given) : { text: given, placeIn: (at: number) => at }
  const maySpeak = has(bracket) || (tags & wordTags.dot) !== 0
  const emails = maySpeak ? spelledOutEmails(text) : []
  const links = [
    ...(has(bracket)
      ? hiddenBy(coded, text, ({ groups }) => hostOf(groups!.host ?? groups!.bb ?? groups!.md ?? ''))
      : []),
    ...(has(scheme)
      ? hiddenBy(disguisedScheme, text, ({ groups, 0: found }) =>
          /^https?:\/\/\S+$/iu.test(found)
            ? ''
            : groups!.host!.replace(/[\s()[\]{}]/gu, '').replace(/dot/iu, '.'),
        )
      : []),
    ...(has(lettered)
      ? hiddenBy(spelled, text, ({ 0: found }) => found.replace(/[\s*_|]/gu, '').replace(/dot/iu, '.'))
      : []),
    ...(maySpeak
      ? hiddenBy(spoken, text, ({ 1: name, 2: ending, index, 0: found }) =>
          emails.some(({ start, end }) => start < index + found.length && index < end)
            ? ''
            : `${name}.${ending}`,
        )
      : []),
    ...(has(parted)
      ? hiddenBy(spaced, text, ({ 1: name, 2: a, 3: b, 4: c }) => `${name}.${a ?? b ?? c}`)
      : []),
    ...(has(joint) ? written(text) : []),
  ]
  const kept: FoundLink[] = []
  for (const link of links)
    if (!kept.some(({ start, end }) => link.start < end && start < link.end)) kept.push(link)
  return kept
    .map(({ start, end, host, hidden }) => {
      const [from, to] = [placeIn(start), placeIn(end - 1) + 1]
      return { start: from, end: to, host, hidden: hidden || to - from > end - start }
    })
    .sort((a, b) => a.start - b.start)
}

/** The characters in front of a link in which a preposition is looked for. */
const BEFORE = 20

function written(text: string): FoundLink[] {
  return (linkify.match(text) ?? [])
    .filter((match) => match.schema !== 'mailto:')
    .filter(
      (match) => !isMissingSpace(match.text, text.slice(Math.max(0, match.index - BEFORE), match.index)),
    )
    .map((match) => ({
      start: match.index,
      end: match.lastIndex,
      host: hostOf(match.url),
      hidden: false,
    }))
    .filter(({ host }) => host !== '')
}

function hiddenBy(pattern: RegExp, text: string, host: (match: RegExpExecArray) => string): FoundLink[] {
  return [...text.matchAll(pattern)]
    .map((match) => ({
      start: match.index,
      end: match.index + match[0].trimEnd().length,
      host: hostOf(host(match)),
      hidden: true,
    }))
    .filter((link) => isDomain(link.host))
}

/** A text without invisible characters, and the original place of each character. */
function withoutUnseen(given: string): { text: string; placeIn: (at: number) => number } {
  UNSEEN.lastIndex = 0
  if (!UNSEEN.test(given)) return { text: given, placeIn: (at) => at }
  const places: number[] = []
  let text = ''
  for (let at = 0; at < given.length; at++) {
    UNSEEN.lastIndex = 0
    if (UNSEEN.test(given[at]!)) continue
    text += given[at]
    places.push(at)
  }
  return { text, placeIn: (at) => places[at] ?? given.length }
}

/** Endings that no registry gives out; some write them on purpose. */
const reserved = new Set(['example', 'test', 'invalid'])

function isDomain(host: string): boolean {
  const { isIcann, publicSuffix, domain } = parse(host)
  return domain !== null && (isIcann === true || reserved.has(publicSuffix ?? ''))
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

/** A link to a site that isn't the shop's own. */
export function linkSignal(words: Reading, ownDomains: string[]): Signal | null {
  const found: FoundLink[] = []
  const places = placesOf(words, (text) => {
    const foreign = linksIn(text, words.tags, words.signs).filter((link) => !isOwnHost(link.host, ownDomains))
    found.push(...foreign)
    return foreign
  })
  if (places.length === 0) return null
  const domains = [...new Set(found.map(({ host }) => getDomain(host) ?? host))]
  const hidden = found.some((link) => link.hidden)
  const offered = offers.test(`${words.title}\n${words.body}`)
  return {
    kind: 'link',
    points:
      LINK_POINTS +
      (domains.length > 1 ? SEVERAL_POINTS : 0) +
      (hidden ? HIDDEN_POINTS : 0) +
      (offered && !hidden ? OFFER_POINTS : 0),
    headline: messageCode(hidden ? 'signal.linkHidden' : 'signal.link'),
    detail: hidden ? quoted(words, places) : messageCode('signal.quoted', { text: domains.join(', ') }),
    places,
  }
}

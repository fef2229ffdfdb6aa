import { spokenMoment } from '../../core/formats/dates'
import type { RefusalCode } from '../../core/listing/originRefusal'
import { PAGE } from '../../core/listing/sheet/page'
import { say } from '../../core/messages/say/listings'
import type { ListingView, SiteView } from '../../server/listing/listingViews'

export interface Clock {
  now: string
  timeZone: string
  locale: string
}

const when = (moment: string, clock: Clock) =>
  spokenMoment(moment, { ...clock, today: say('listings.state.today') })

/** "4.7 from 122 reviews", or "9.2 of 10 from 80 reviews"; for a site without ratings "40 posts". */
export function siteNumbers(
  { average, count }: { average: number | null; count: number | null },
  scale: number | null,
): string {
  if (scale === null) return say('listings.posts', { count: count ?? 0 })
  if (count === null || count === 0) return say('listings.noReviews')
  if (average === null) return say('listings.reviews', { count })
  return scale === 5
    ? say('listings.average', { average: average.toFixed(1), count })
    : say('listings.averageOf', { average: average.toFixed(1), scale, count })
}

/** The name and street of a business. */
export const businessName = ({ name, street }: { name: string; street: string }): string =>
  street ? `${name}, ${street}` : name

/** Why the latest check failed; null if it didn't. */
export function refusalWords({
  refusal,
  site,
  origin,
}: Pick<ListingView, 'refusal' | 'site' | 'origin'>): string | null {
  return refusal && refusalText(refusal, isPage(origin) ? null : (site?.name ?? origin))
}

/** Why a site, or without one a sheet or page, could not be read. */
export function refusalText(refusal: RefusalCode, site: string | null): string {
  if (site !== null) return say(`listings.refusal.${refusal}`, { site })
  return isOnPages(refusal)
    ? say(`listings.pageRefusal.${refusal}`)
    : say(`listings.refusal.${refusal}`, { site: say('listings.thisPage') })
}

const onPages = ['unknown', 'gone', 'signedOut', 'unreadable', 'tooLarge', 'fewer'] as const
const isOnPages = (refusal: RefusalCode): refusal is (typeof onPages)[number] =>
  onPages.some((one) => one === refusal)

/** Whether a listing is a sheet or page at any address, not one of a known site. */
export const isPage = (origin: string): boolean => origin === PAGE

/** What a listing is doing, or when it was checked and what was found. */
export function stateWords(listing: ListingView, clock: Clock): string {
  const { state, refusal, removedAt, readSoFar, count, isChecking, checkedAt, found, nextCheckAt } = listing
  if (state === 'disconnected')
    return say(removedAt === null ? 'listings.state.disconnected' : 'listings.state.removed')
  if (state === 'stopped') return say('listings.state.stopped')
  if (readSoFar !== null && readSoFar > 0 && checkedAt === null)
    return count === null
      ? say('listings.state.readingSome', { done: readSoFar })
      : say('listings.state.reading', { done: readSoFar, total: Math.max(count, readSoFar) })
  if (isChecking) return say(checkedAt === null ? 'listings.state.begun' : 'listings.state.checking')
  const lastGood = checkedAt !== null && refusal !== null && refusal !== 'closed'
  const checked = lastGood
    ? say('listings.state.lastGood', { when: when(checkedAt, clock) })
    : checkedAt === null
      ? ''
      : checkedWords(checkedAt, found, clock)
  const next = nextCheckAt === null ? '' : say('listings.state.again', { when: when(nextCheckAt, clock) })
  return [checked, next].filter(Boolean).join('. ')
}

function checkedWords(checkedAt: string, found: ListingView['found'], clock: Clock): string {
  const kinds = ['stored', 'changed', 'withdrawn'] as const
  const news = kinds.filter((kind) => (found?.[kind] ?? 0) > 0)
  if (news.length === 0) return say('listings.state.nothingNew', { when: when(checkedAt, clock) })
  return say('listings.state.news', {
    when: when(checkedAt, clock),
    news: news.map((kind) => say(`listings.news.${kind}`, { count: found![kind] })).join(', '),
  })
}

export const isReading = ({ state, isChecking, checkedAt }: ListingView): boolean =>
  state === 'active' && (isChecking || checkedAt === null)

export type Sites = SiteView[]

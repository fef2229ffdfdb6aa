import { Link } from 'react-router'
import { say } from '../../core/messages/say/listings'
import type { Understood } from '../../server/listing/understand'
import { businessName, isPage, refusalText, siteNumbers, type Sites } from './listingWords'
import { SiteIcon } from './SiteIcon'
import { Suggestions } from './Suggestions'

/** What an address, id or name turned out to be, and what happens next. Nothing for a message. */
export function UnderstoodLine({
  shop,
  understood,
  sites,
}: {
  shop: string
  understood: Understood
  sites: Sites
}) {
  const siteOf = (origin: string) => sites.find((one) => one.origin === origin)!
  switch (understood.kind) {
    case 'message':
      return null
    case 'suggested':
      if (understood.suggestions.length === 0) return null
      return (
        <>
          <p className="pb-1 text-soft">
            {say('listings.suggestions', { count: understood.suggestions.length })}
          </p>
          <Suggestions shop={shop} found={understood.suggestions} sites={sites} />
        </>
      )
    case 'unknownName': {
      const names = sites.filter(({ origin }) => !isPage(origin)).map(({ name }) => name)
      return (
        <p className="text-soft">
          {names.length > 0
            ? say('listings.unknownName', {
                sites: new Intl.ListFormat('en', { type: 'disjunction' }).format(names),
              })
            : say('listings.noSites')}
        </p>
      )
    }
    case 'unusable':
      return <p className="font-semibold text-plum">{say('listings.unusable')}</p>
    case 'refused':
      return (
        <p className="font-semibold text-plum">
          {refusalText(understood.refusal, isPage(understood.origin) ? null : siteOf(understood.origin).name)}
        </p>
      )
    case 'needsKey': {
      const { origin, id } = understood
      return (
        <p className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <SiteIcon path={siteOf(origin).icon} />
          {say('listings.needsKey', { site: siteOf(origin).name })}
          <Link to={connectAddress(shop, origin, id, 'listing')} className="btn btn-primary">
            {say('listings.withKey')}
          </Link>
        </p>
      )
    }
    case 'described': {
      const { origin, id, business, post, connected } = understood.described
      const site = siteOf(origin)
      const name = business ? businessName(business) : `${post!.authorName}: “${post!.body.slice(0, 80)}”`
      return (
        <p className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <span className="flex min-w-0 flex-1 items-center gap-2">
            <SiteIcon path={site.icon} />
            <span className="min-w-0 break-words">
              <b className="font-semibold">{site.name}:</b> <bdi>{name}</bdi>
              {business && <span className="text-soft"> · {siteNumbers(business, site.scale)}</span>}
            </span>
          </span>
          {connected ? (
            <Link to={`/s/${shop}/gather/listings/${connected}`} className="btn btn-quiet">
              {say('listings.open')}
            </Link>
          ) : (
            <Link
              to={connectAddress(shop, origin, id, business ? 'listing' : 'post')}
              className="btn btn-primary"
            >
              {say(business ? 'listings.seeIt' : 'listings.seePost')}
            </Link>
          )}
        </p>
      )
    }
  }
}

const connectAddress = (shop: string, site: string, id: string, kind: 'listing' | 'post') =>
  `/s/${shop}/gather/connect?${new URLSearchParams({ site, id, ...(kind === 'post' && { kind }) }).toString()}`

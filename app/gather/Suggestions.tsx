import { Link } from 'react-router'
import { say } from '../../core/messages/say/listings'
import type { SuggestedBusiness } from '../../server/listing/understand'
import { siteNumbers, type Sites } from './listingWords'
import { SiteIcon } from './SiteIcon'

/** Businesses to choose from, each with what tells it apart. */
export function Suggestions({
  shop,
  found,
  sites,
}: {
  shop: string
  found: SuggestedBusiness[]
  sites: Sites
}) {
  return (
    <ul className="divide-y divide-line">
      {found.map(({ origin, id, name, street, average, count }) => {
        const site = sites.find((one) => one.origin === origin)!
        return (
          <li key={origin + id}>
            <Link
              to={`/s/${shop}/gather/connect?${new URLSearchParams({ site: origin, id }).toString()}`}
              className="-mx-2 flex min-h-11 flex-wrap items-center gap-x-3 rounded-lg px-2 py-2 hover:bg-wash"
            >
              <SiteIcon path={site.icon} />
              <span className="min-w-0 flex-1">
                <b className="font-semibold break-words" dir="auto">
                  {name}
                </b>
                <span className="block text-[13px] text-soft" dir="auto">
                  {street || say('listings.noStreet')} · {site.name}
                </span>
              </span>
              <span className="tabular-nums text-soft">{siteNumbers({ average, count }, site.scale)}</span>
            </Link>
          </li>
        )
      })}
    </ul>
  )
}

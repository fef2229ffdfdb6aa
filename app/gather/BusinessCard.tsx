import { say } from '../../core/messages/say/listings'
import type { Described } from '../../server/listing/understand'
import { isPage, siteNumbers } from './listingWords'
import type { SiteView } from '../../server/listing/listingViews'
import { SiteIcon } from './SiteIcon'

/** A business or post as the site shows it, so that nobody connects a stranger's. */
export function BusinessCard({ described, site }: { described: Described; site: SiteView }) {
  const { business, post } = described
  const review = post ?? business?.latest ?? null
  return (
    <div className="flex flex-col gap-3">
      <div>
        <p className="flex items-center gap-2 text-soft">
          <SiteIcon path={site.icon} />
          {business
            ? say('listings.on', {
                numbers: siteNumbers(business, site.scale),
                site: isPage(site.origin) ? new URL(business.url).host : site.name,
              })
            : site.name}
        </p>
        {business && (
          <>
            <h2 className="text-[20px] leading-snug font-semibold break-words" dir="auto">
              {business.name}
            </h2>
            {!isPage(site.origin) && (
              <p className="text-soft" dir="auto">
                {business.street || say('listings.noStreet')}
              </p>
            )}
          </>
        )}
        {business?.isClosed && <p className="font-semibold text-ochre">{say('listings.closed')}</p>}
      </div>
      {review && (
        <figure className="border-t border-line pt-3">
          {business && (
            <figcaption className="pb-1 text-[13px] text-soft">{say('listings.latest')}</figcaption>
          )}
          <blockquote className="customer-words line-clamp-5 text-[16px]" dir="auto">
            {review.body || review.title}
          </blockquote>
          <p className="pt-1 text-soft" dir="auto">
            {review.authorName}
          </p>
        </figure>
      )}
    </div>
  )
}

import { Link } from 'react-router'
import { writerName } from '../../core/messages/writerName'
import { say } from '../../core/messages/say/gather'
import type { ReviewLine } from '../../server/data/reviewLists'
import { RatingMark } from '../components/RatingMark'
import { StateMark } from '../components/StateMark'
import type { ListingIntake } from '../../server/data/intakes'
import type { ListingView } from '../../server/listing/listingViews'
import { SiteIcon } from './SiteIcon'

export type Arrival = Pick<
  ReviewLine,
  'publicId' | 'state' | 'rating' | 'authorName' | 'productTitle' | 'source'
> & {
  words: string
  at: string
  when: string
}

/** What a check of a listing brought, as one line. */
export type Found = Pick<ListingIntake, 'publicId' | 'listing' | 'name' | 'stored' | 'changed'> & {
  at: string
  when: string
}

const MOST = 10

/** What came in last, whatever became of it; new ones come in by themselves. */
export function LatestArrivals({
  shop,
  latest,
  found,
  listings,
}: {
  shop: string
  latest: Arrival[]
  found: Found[]
  listings: ListingView[]
}) {
  const lines = [...latest, ...found].toSorted((a, b) => (a.at < b.at ? 1 : -1)).slice(0, MOST)
  const iconOf = (id: string) => listings.find(({ publicId }) => publicId === id)?.site?.icon ?? ''
  return (
    <aside
      className="relative overflow-y-auto border-line bg-paper px-6 py-6 lg:border-l"
      aria-labelledby="latest"
    >
      <h2 id="latest" className="pb-3 text-[16px] font-semibold">
        {say('gather.latest')}
      </h2>
      {lines.length === 0 && (
        <p className="border-t border-line py-4 text-soft">{say('gather.noArrivals')}</p>
      )}
      <ol>
        {lines.map((line) =>
          'stored' in line ? (
            <FoundLine key={line.publicId} shop={shop} found={line} icon={iconOf(line.listing)} />
          ) : (
            <ArrivalLine key={line.publicId} shop={shop} review={line} />
          ),
        )}
      </ol>
    </aside>
  )
}

function ArrivalLine({ shop, review }: { shop: string; review: Arrival }) {
  return (
    <li className="border-t border-line">
      <Link
        to={`/s/${shop}/decide/${review.publicId}`}
        className="-mx-2 flex gap-2.5 rounded-lg px-2 py-3 hover:bg-wash"
      >
        <span className="pt-[3px]">
          <StateMark state={review.state} />
        </span>
        <span className="min-w-0 flex-1">
          <span className="flex justify-between gap-3">
            <b className="truncate font-semibold">{writerName(review.authorName)}</b>
            <span className="shrink-0 text-soft">
              {say(`state.${review.state}`)} · {review.when}
            </span>
          </span>
          <span className="flex items-center gap-1.5 text-soft">
            <span className="text-ink">
              <RatingMark rating={review.rating} />
            </span>
            <span className="truncate">{review.productTitle ?? say(`source.${review.source}`)}</span>
          </span>
          <span className="customer-words line-clamp-2 text-[15px] leading-snug" dir="auto">
            {review.words}
          </span>
        </span>
      </Link>
    </li>
  )
}

function FoundLine({ shop, found, icon }: { shop: string; found: Found; icon: string }) {
  return (
    <li className="border-t border-line">
      <Link
        to={`/s/${shop}/gather/listings/${found.listing}`}
        className="-mx-2 flex gap-2.5 rounded-lg px-2 py-3 hover:bg-wash"
      >
        <SiteIcon path={icon} className="mt-[3px] size-5 text-soft" />
        <span className="min-w-0 flex-1">
          <span className="flex justify-between gap-3">
            <b className="truncate font-semibold" dir="auto">
              {found.name}
            </b>
            <span className="shrink-0 text-soft">{found.when}</span>
          </span>
          <span className="text-soft">{say('listings.came', { count: found.stored + found.changed })}</span>
        </span>
      </Link>
    </li>
  )
}

import { Link } from 'react-router'
import { say } from '../../core/messages/say/gather'
import type { ReviewLine } from '../../server/data/reviewLists'
import { RatingMark } from '../components/RatingMark'
import { StateMark } from '../components/StateMark'

export type Arrival = Pick<
  ReviewLine,
  'publicId' | 'state' | 'rating' | 'authorName' | 'productTitle' | 'source'
> & {
  words: string
  when: string
}

/** What came in last, whatever became of it; new ones come in by themselves. */
export function LatestArrivals({ shop, latest }: { shop: string; latest: Arrival[] }) {
  return (
    <aside
      className="relative overflow-y-auto border-line bg-paper px-6 py-6 lg:border-l"
      aria-labelledby="latest"
    >
      <h2 id="latest" className="pb-3 text-[16px] font-semibold">
        {say('gather.latest')}
      </h2>
      {latest.length === 0 && (
        <p className="border-t border-line py-4 text-soft">{say('gather.noArrivals')}</p>
      )}
      <ol>
        {latest.map((review) => (
          <li key={review.publicId} className="border-t border-line">
            <Link
              to={`/s/${shop}/decide/${review.publicId}`}
              className="-mx-2 flex gap-2.5 rounded-lg px-2 py-3 hover:bg-wash"
            >
              <span className="pt-[3px]">
                <StateMark state={review.state} />
                <span className="sr-only">{say(`state.${review.state}`)}</span>
              </span>
              <span className="min-w-0 flex-1">
                <span className="flex justify-between gap-3">
                  <b className="truncate font-semibold">{review.authorName}</b>
                  <span className="shrink-0 text-soft">{review.when}</span>
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
        ))}
      </ol>
    </aside>
  )
}

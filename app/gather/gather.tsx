import { ExternalLink } from 'lucide-react'
import { Link } from 'react-router'
import { spokenMoment } from '../../core/formats/dates'
import { say } from '../../core/words/say'
import { requireShop } from '../account/session'
import { CopyButton } from '../components/CopyButton'
import { RatingMark } from '../components/RatingMark'
import { StateMark } from '../components/StateMark'
import { AnythingField } from './AnythingField'
import type { Route } from './+types/gather'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const { arrivals, forms, writtenDown, latest } = await context.elogio.gatherView(shop)
  const now = context.elogio.now()
  return {
    arrivals,
    forms,
    writtenDown,
    toDecide: (await context.elogio.stepCounts(shop)).decide,
    latest: latest.map(
      ({ publicId, state, rating, authorName, title, body, receivedAt, productTitle, source }) => ({
        publicId,
        state,
        rating,
        authorName,
        productTitle,
        source,
        words: title || body,
        when: spokenMoment(receivedAt, {
          now,
          timeZone: shop.timeZone,
          locale: shop.locale,
          today: '',
        }).trim(),
      }),
    ),
  }
}

export default function Gather({ loaderData, params }: Route.ComponentProps) {
  const { arrivals, forms, writtenDown, latest, toDecide } = loaderData
  return (
    <main className="grid min-h-0 flex-1 lg:grid-cols-[minmax(0,1fr)_372px] lg:grid-rows-[minmax(0,1fr)]">
      <title>{`${say('gather.title')} · Elogio`}</title>
      <div className="overflow-y-auto px-6 py-6">
        <h1>{sentence(arrivals, latest.length > 0)}</h1>
        <AnythingField shop={params.shop} />
        <div className="mt-6 flex px-[18px] pb-2 text-soft">
          <h2 className="flex-1">{say('gather.ways')}</h2>
          <span className="w-40">{say('gather.last30')}</span>
          <span className="w-[300px]" />
        </div>
        <ul className="panel divide-y divide-line">
          {forms.map(({ publicId, slug, heading, address, arrivals: count }) => (
            <li key={publicId} className="flex items-center px-[18px] py-4">
              <div className="min-w-0 flex-1">
                <p className="font-semibold">
                  {say('gather.form')} <span className="font-normal text-soft">“{heading}”</span>
                </p>
                <p className="truncate text-soft">
                  {address.replace(/^https?:\/\//, '')}, {say('gather.anyone')}
                </p>
              </div>
              <span className="w-40 text-[18px] font-semibold">{count}</span>
              <div className="flex w-[300px] justify-end gap-2">
                <CopyButton text={address} label={say('gather.copy')} />
                <a href={`/f/${slug}`} target="_blank" rel="noreferrer" className="btn btn-primary">
                  {say('gather.open')}
                  <ExternalLink className="size-4" aria-hidden="true" />
                </a>
              </div>
            </li>
          ))}
          {writtenDown > 0 && (
            <li className="flex items-center px-[18px] py-4">
              <div className="min-w-0 flex-1">
                <p className="font-semibold">{say('gather.byYou')}</p>
                <p className="truncate text-soft">{say('gather.byYouHint')}</p>
              </div>
              <span className="w-40 text-[18px] font-semibold">{writtenDown}</span>
              <span className="w-[300px]" />
            </li>
          )}
        </ul>
      </div>
      <aside
        className="relative overflow-y-auto border-l border-line bg-paper px-6 py-6"
        aria-labelledby="latest"
      >
        <div className="flex items-baseline justify-between pb-3">
          <h2 id="latest" className="text-[16px] font-semibold">
            {say('gather.latest')}
          </h2>
          {toDecide > 0 && (
            <Link to={`/s/${params.shop}/decide`} className="part">
              {say('gather.decide', { count: toDecide })}
            </Link>
          )}
        </div>
        {latest.length === 0 && (
          <p className="border-t border-line py-4 text-soft">{say('gather.noArrivals')}</p>
        )}
        <ol>
          {latest.map((review) => (
            <li key={review.publicId} className="border-t border-line">
              <Link
                to={`/s/${params.shop}/decide/${review.publicId}`}
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
                    <span className="truncate">
                      {review.productTitle ??
                        say(review.source === 'form' ? 'gather.shopForm' : 'gather.byYou')}
                    </span>
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
    </main>
  )
}

/** "5 came in these 30 days, 60 % from verified buyers." */
function sentence({ count, verified }: { count: number; verified: number }, everCame: boolean): string {
  if (count === 0) return say(everCame ? 'gather.none' : 'gather.noneEver')
  const share = say('gather.verifiedShare', { percent: Math.round((verified / count) * 100) })
  return say('gather.came', { count }) + share
}

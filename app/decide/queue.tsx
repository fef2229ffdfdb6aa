import { useState } from 'react'
import { Link, Outlet } from 'react-router'
import { spokenMoment, wholeDays } from '../../core/formats/dates'
import { reviewStates } from '../../core/moderation/rules'
import { countWordFirst, say } from '../../core/words/say'
import { requireShop } from '../account/session'
import { FIRST_SHOWN, queuePath } from './address'
import { Lanes } from './Lanes'
import { openLane } from './openLane'
import { QueueList } from './QueueList'
import { RatingStrip } from './RatingStrip'
import type { Route } from './+types/queue'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const reviewId = 'review' in params ? params.review : undefined
  const { lane, rating, show, filter } = await openLane(request, context, shop, reviewId)
  const { counts, ready, oldest, ratings, lines, total } = await context.elogio.queueView(shop, filter, show)
  const now = context.elogio.now()
  const spoken = { now, timeZone: shop.timeZone, locale: shop.locale, today: say('today') }
  return {
    search: { lane, rating, show },
    counts,
    ready,
    oldest: oldest && { ...oldest, days: wholeDays(oldest.receivedAt, now) },
    ratings,
    total,
    shopLanguage: shop.locale.slice(0, 2),
    lines: lines.map((line) => ({ ...line, when: spokenMoment(line.receivedAt, spoken) })),
  }
}

export default function Queue({ loaderData, params }: Route.ComponentProps) {
  const { search, counts, ready, oldest, ratings, lines, total } = loaderData
  const [choosing, setChoosing] = useState(false)
  const undecided = counts.waiting + counts.held
  const lanes = reviewStates.filter((state) => state !== 'withdrawn' || counts[state] > 0)
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <title>{`${say('decide.title')} · Elogio`}</title>
      <div className="flex min-h-[66px] items-center gap-4 border-b border-line px-6">
        {undecided > 0 && oldest ? (
          <>
            <h1>
              {undecided === 1
                ? say('decide.need', { count: 1 })
                : say('decide.need', {
                    count: undecided,
                    replace: { count: countWordFirst(undecided) },
                  })}{' '}
              {oldest.days === 0
                ? say('decide.oldest.now')
                : say('decide.oldest.days', { count: oldest.days })}
            </h1>
            <Link
              className="btn btn-quiet"
              to={queuePath(params.shop, oldest.publicId, { lane: oldest.state })}
            >
              {say('decide.openOldest')}
            </Link>
          </>
        ) : (
          <>
            <h1>
              {say('decide.clear')} {ready > 0 && say('decide.ready', { count: ready })}
            </h1>
            <Link className="btn btn-primary" to={`/s/${params.shop}/${ready > 0 ? 'show' : 'gather'}`}>
              {say(ready > 0 ? 'decide.toShow' : 'decide.toForm')}
            </Link>
          </>
        )}
      </div>
      <Lanes shop={params.shop} lanes={lanes} open={search.lane} counts={counts}>
        {say('decide.of')}{' '}
        <button
          type="button"
          className="part"
          aria-expanded={choosing}
          aria-controls="rating-strip"
          onClick={() => setChoosing(!choosing)}
        >
          {search.rating === undefined
            ? say('decide.anyRating')
            : say('decide.rating', { rating: search.rating })}
        </button>
        , {say('decide.newestFirst')}
      </Lanes>
      {choosing && (
        <RatingStrip
          shop={params.shop}
          search={search}
          ratings={ratings}
          laneTotal={counts[search.lane]}
          close={() => setChoosing(false)}
        />
      )}
      <div className="grid min-h-0 flex-1 lg:grid-cols-[402px_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)]">
        <QueueList
          shop={params.shop}
          search={search}
          lines={lines}
          more={Math.min(total - lines.length, FIRST_SHOWN)}
          shopLanguage={loaderData.shopLanguage}
        />
        <Outlet />
      </div>
    </main>
  )
}

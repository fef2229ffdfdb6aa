import { Download } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { Link, Outlet } from 'react-router'
import { may } from '../../core/account/permissions'
import { dayIn, spokenMoment, wholeDays } from '../../core/formats/dates'
import { isNarrowed } from '../../core/moderation/reviewFilter'
import { reviewStates, type ReviewState } from '../../core/moderation/rules'
import { countWordFirst } from '../../core/messages/countWord'
import { say } from '../../core/messages/say/decide'
import { requireShop } from '../account/session'
import { queuePath, queueQuery } from './address'
import { FilterSentence, type OpenStrip } from './FilterSentence'
import { FilterStrip } from './FilterStrip'
import { Keys } from './Keys'
import { Lanes } from './Lanes'
import { openLane } from './openLane'
import { ManyBar } from './ManyBar'
import { QueueList } from './QueueList'
import { SearchField } from './SearchField'
import { useSelection, type Selection } from './useSelection'
import { SavedFilters } from './SavedFilters'
import type { Route } from './+types/queue'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const reviewId = 'review' in params ? params.review : undefined
  const { search, filter } = await openLane(request, context, shop, reviewId)
  const { lines, oldest, ...view } = await context.elogio.queueView(shop, filter, search.show, search.product)
  const now = context.elogio.now()
  const spoken = { now, timeZone: shop.timeZone, locale: shop.locale, today: say('today') }
  const attack = await context.elogio.latestAttack(shop)
  return {
    attack: attack && {
      ...attack,
      hours: Math.max(1, Math.round((Date.parse(attack.last) - Date.parse(attack.first)) / HOUR_MS)),
      lastWhen: spokenMoment(attack.last, spoken),
      fromWhen: spokenMoment(attack.barsFrom, spoken),
      toWhen: spokenMoment(attack.barsTo, spoken),
    },
    ...view,
    ...(await context.elogio.queueNames(shop, search)),
    search,
    at: now,
    today: dayIn(shop.timeZone, now),
    oldest: oldest && { ...oldest, days: wholeDays(oldest.receivedAt, now) },
    languages: shop.languages,
    mayDownload: may(shop.role, 'downloads'),
    lines: lines.map((line) => ({ ...line, when: spokenMoment(line.receivedAt, spoken) })),
  }
}

const HOUR_MS = 3_600_000
// Hardly any day has an attack.
const AttackBanner = lazy(() => import('./AttackBanner'))

/** Shared with the open review. */
export interface QueueContext {
  selection: Selection
  /** The listed reviews. */
  shown: string[]
  /** The result of a bulk action, if it needs a message. */
  message: string
  /** Whether the list is empty, whatever it is narrowed by. */
  isDone: boolean
  /** The other lane with undecided reviews, and their number. */
  nextLane: { lane: 'waiting' | 'held'; count: number } | null
}

export default function Queue({ loaderData, params }: Route.ComponentProps) {
  const { search, counts, lines, total, products, tags, forms, answers } = loaderData
  const [open, setOpen] = useState<OpenStrip | null>(null)
  const [message, setMessage] = useState('')
  const selection = useSelection(lines, queueQuery({ ...search, show: undefined }))
  const lanes = reviewStates.filter((state) => state !== 'withdrawn' || counts[state] > 0)
  const titles = Object.fromEntries([
    ...products.products.map(({ sku, title }) => [sku, title]),
    ...[...forms, ...answers].map(({ value, words }) => [value, words]),
  ]) as Record<string, string>
  const reviewIsOpen = 'review' in params && params.review !== undefined
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <title>{`${say('decide.title')} · Elogio`}</title>
      <div
        className={`min-h-[66px] flex-wrap items-center gap-x-4 gap-y-2 border-b border-line px-4 py-2 lg:px-6 ${reviewIsOpen ? 'hidden lg:flex' : 'flex'}`}
      >
        <Sentence shop={params.shop} loaderData={loaderData} />
        <span className="flex w-full items-center gap-2 lg:ml-auto lg:w-auto">
          <SearchField shop={params.shop} search={search} />
          <SavedFilters shop={params.shop} search={search} views={loaderData.views} />
          <span className="hidden lg:block">
            <Keys />
          </span>
        </span>
      </div>
      {loaderData.attack && (
        <div className={reviewIsOpen ? 'hidden lg:block' : ''}>
          <Suspense>
            <AttackBanner shop={params.shop} attack={loaderData.attack} />
          </Suspense>
        </div>
      )}
      <div className={reviewIsOpen ? 'hidden lg:block' : ''}>
        <Lanes
          shop={params.shop}
          lanes={lanes}
          open={search.lane}
          counts={counts}
          unconfirmed={loaderData.unconfirmed}
          search={search}
          matches={loaderData.matches}
        >
          <FilterSentence filter={search} titles={titles} open={open} setOpen={setOpen} />
          {loaderData.mayDownload && total > 0 && (
            <a
              className="ml-4 hidden min-h-6 items-center gap-1.5 font-semibold text-petrol hover:underline lg:inline-flex"
              href={`/s/${params.shop}/decide/download?${queueQuery({ ...search, show: undefined })}`}
              title={say('decide.downloadTitle')}
              download
            >
              <Download className="size-4" aria-hidden="true" />
              {say('decide.download')}
            </a>
          )}
        </Lanes>
        {open && (
          <FilterStrip
            shop={params.shop}
            filter={search}
            facets={loaderData.facets}
            products={products}
            {...{ tags, forms, answers, titles }}
            today={loaderData.today}
            open={open}
            close={() => setOpen(null)}
          />
        )}
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[402px_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)]">
        <div className={`min-h-0 flex-col ${reviewIsOpen ? 'hidden lg:flex' : 'flex'}`}>
          <QueueList
            shop={params.shop}
            search={search}
            lines={lines}
            total={total}
            collapsed={loaderData.collapsed}
            totalIsLeast={loaderData.totalIsLeast}
            languages={loaderData.languages}
            matches={loaderData.matches}
            selection={selection}
          />
        </div>
        <Outlet
          context={
            {
              selection,
              shown: lines.map(({ publicId }) => publicId),
              message,
              isDone: total === 0 && !isNarrowed(search),
              nextLane: nextLaneOf(search.lane, {
                waiting: counts.waiting,
                held: counts.held - loaderData.unconfirmed,
              }),
            } satisfies QueueContext
          }
        />
      </div>
      {selection.selected.length > 0 && (
        <ManyBar
          shop={params.shop}
          search={search}
          selection={selection}
          total={total}
          totalIsLeast={loaderData.totalIsLeast}
          at={loaderData.at}
          products={products}
          tags={tags}
          setMessage={setMessage}
        />
      )}
    </main>
  )
}

/** The most useful next action. */
function Sentence({
  shop,
  loaderData: { counts, unconfirmed, oldest, ready, attack, ...loaderData },
}: {
  shop: string
  loaderData: Route.ComponentProps['loaderData']
}) {
  const undecided = counts.waiting + counts.held - unconfirmed
  // The banner of an attack already leads to its group.
  const largest = attack ? null : loaderData.largest
  if (undecided === 0 || !oldest)
    return (
      <>
        <h1>
          {say('decide.clear')}{' '}
          {ready > 0 && say('decide.ready', { count: ready, replace: { count: countWordFirst(ready) } })}
        </h1>
        <Link className="btn btn-primary" to={`/s/${shop}/${ready > 0 ? 'show' : 'gather'}`}>
          {say(ready > 0 ? 'decide.toShow' : 'decide.toForm')}
        </Link>
      </>
    )
  return (
    <>
      <h1>
        {undecided === 1
          ? say('nextStep.decide', { count: 1 })
          : say('nextStep.decide', { count: undecided, replace: { count: countWordFirst(undecided) } })}{' '}
        {largest
          ? say(largest.sameWords ? 'group.same' : 'group.crowd', {
              count: largest.count,
              replace: { count: countWordFirst(largest.count) },
            })
          : oldest.days === 0
            ? say('decide.oldest.now')
            : say('decide.oldest.days', { count: oldest.days })}
      </h1>
      <Link
        className="btn btn-quiet"
        to={queuePath(shop, (largest ?? oldest).publicId, { lane: (largest ?? oldest).state })}
      >
        {say(largest ? 'group.look' : 'decide.openOldest')}
      </Link>
    </>
  )
}

function nextLaneOf(
  lane: ReviewState,
  undecided: { waiting: number; held: number },
): QueueContext['nextLane'] {
  const next = lane === 'waiting' ? 'held' : lane === 'held' ? 'waiting' : null
  return next && undecided[next] > 0 ? { lane: next, count: undecided[next] } : null
}

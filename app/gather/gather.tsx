import { ExternalLink } from 'lucide-react'
import { data, Form, Link, redirect, useSearchParams } from 'react-router'
import { writersSchema } from '../../core/intake/writers'
import { spokenMoment } from '../../core/formats/dates'
import { say } from '../../core/messages/say/gather'
import { useLookAgain } from '../components/useLookAgain'
import { FORMS_OF_PAGE } from '../../core/form/choices'
import type { ListingView } from '../../server/listing/listingViews'
import { requireShop } from '../account/session'
import { PageLinks } from '../components/PageLinks'
import { pageIn } from '../components/pageIn'
import { SearchBox } from '../components/SearchBox'
import { orOffline } from '../offline'
import { CopyButton } from '../components/CopyButton'
import { NextStep } from '../components/NextStep'
import { AnythingField } from './AnythingField'
import { FirstSteps } from './FirstSteps'
import { LatestArrivals } from './LatestArrivals'
import { isReading } from './listingWords'
import { ListingRow } from './ListingRow'
import { QuietProducts } from './QuietProducts'
import { SourceRow } from './SourceRow'
import { WhoMayWrite } from './WhoMayWrite'
import type { Route } from './+types/gather'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const { latest, latestFound, ...view } = await context.elogio.gatherView(
    shop,
    pageIn(new URL(request.url).searchParams),
  )
  const spoken = { now: context.elogio.now(), timeZone: shop.timeZone, locale: shop.locale, today: '' }
  return {
    ...view,
    isOwner: shop.role === 'owner',
    clock: { now: spoken.now, timeZone: shop.timeZone, locale: shop.locale },
    steps: await context.elogio.firstSteps(shop),
    next: await context.elogio.nextStep(shop),
    latest: latest.map(
      ({ publicId, state, rating, authorName, title, body, receivedAt, productTitle, source }) => ({
        publicId,
        state,
        rating,
        authorName,
        productTitle,
        source,
        words: title || body,
        at: receivedAt,
        when: spokenMoment(receivedAt, spoken).trim(),
      }),
    ),
    latestFound: latestFound.map(({ createdAt, ...found }) => ({
      ...found,
      at: createdAt,
      when: spokenMoment(createdAt, spoken).trim(),
    })),
  }
}

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const { form } = context
  const restored = form?.get('restore')
  if (typeof restored === 'string') {
    if (!(await context.elogio.setFormRemoved(shop, restored, false))) throw data(null, { status: 404 })
    return redirect(`/s/${params.shop}/gather`)
  }
  const wish = form?.get('firstSteps')
  if (wish === 'away' || wish === 'back') {
    await context.elogio.setFirstStepsAway(shop, wish === 'away')
    return { ok: true }
  }
  const writers = writersSchema.safeParse(form?.get('writers'))
  if (!writers.success) throw data(null, { status: 400 })
  if (!(await context.elogio.setWriters(shop, String(form?.get('form')), writers.data)))
    throw data(null, { status: 404 })
  return { ok: true }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

const FIRST_LISTINGS = 10
const needsOwner = ({ refusal, state }: ListingView) => refusal !== null && state === 'active'

export default function Gather({ loaderData, params }: Route.ComponentProps) {
  const { arrivals, forms, writtenDown, latest, next, unreviewed, products, mails, orders, isOwner } =
    loaderData
  const { listings, sites, clock } = loaderData
  const [search] = useSearchParams()
  const all = search.get('listings') === 'all'
  const rows = (needing: boolean) =>
    listings
      .filter((listing) => needsOwner(listing) === needing)
      .slice(0, needing || all ? Infinity : FIRST_LISTINGS)
      .map((listing) => (
        <ListingRow key={listing.publicId} {...{ shop: params.shop, listing, clock, isOwner }} />
      ))
  useLookAgain(listings.some(isReading))
  const removed = search.get('removed')
  return (
    <main className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_372px] lg:grid-rows-[minmax(0,1fr)]">
      <title>{`${say('gather.title')} · Elogio`}</title>
      <div className="relative overflow-y-auto px-4 py-6 lg:px-6">
        <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
          <div>
            <h1>{sentence(arrivals, latest.length > 0 || listings.length > 0)}</h1>
            <p className="text-soft">{partsOf(arrivals)}</p>
          </div>
          <NextStep shop={params.shop} step={next} />
        </div>
        {removed && (
          <Form method="post" className="mb-3 flex gap-3" role="status">
            {say('gather.formRemoved')}
            <button name="restore" value={removed} className="part">
              {say('gather.undo')}
            </button>
          </Form>
        )}
        <AnythingField
          shop={params.shop}
          isOwner={isOwner}
          isFirst={latest.length === 0 && listings.length === 0}
          hasSites={sites.length > 0}
        />
        <FirstSteps shop={params.shop} steps={loaderData.steps} />
        <div className="mt-6 flex px-[18px] pb-2 text-soft">
          <h2 className="flex-1">{say('gather.ways')}</h2>
          <span className="hidden w-32 lg:block">{say('gather.last30')}</span>
          <span className="hidden w-[300px] text-right lg:block">
            {isOwner && (
              <Link to={`/s/${params.shop}/gather/forms/new`} className="text-petrol underline">
                {say('gather.newForm')}
              </Link>
            )}
          </span>
        </div>
        {loaderData.formCount.all > FORMS_OF_PAGE && (
          <div className="px-[18px] pb-2">
            <SearchBox label={say('gather.findForm')} />
          </div>
        )}
        <ul className="panel divide-y divide-line">
          {rows(true)}
          {forms.map(({ publicId, slug, name, state, heading, address, writers, arrivals: count }) => (
            <SourceRow
              key={publicId}
              name={
                <>
                  {isOwner ? (
                    <Link to={`/s/${params.shop}/gather/forms/${publicId}`} className="text-petrol underline">
                      {name}
                    </Link>
                  ) : (
                    name
                  )}{' '}
                  <span className="font-normal text-soft">
                    “{heading || say('form.heading')}”
                    {state !== 'open' && `, ${say(`gather.formState.${state}`)}`}
                  </span>
                </>
              }
              hint={
                <>
                  {address.replace(/^https?:\/\//, '')}
                  {isOwner && <WhoMayWrite form={publicId} writers={writers} mails={mails} />}
                </>
              }
              count={count}
            >
              {state !== 'draft' && (
                <>
                  <CopyButton text={address} label={say('gather.copy')} />
                  <a href={`/f/${slug}`} target="_blank" rel="noreferrer" className="btn btn-quiet">
                    {say('gather.open')}
                    <ExternalLink className="size-4" aria-hidden="true" />
                  </a>
                </>
              )}
            </SourceRow>
          ))}
          {rows(false)}
          {!all && listings.filter((one) => !needsOwner(one)).length > FIRST_LISTINGS && (
            <li className="px-[18px] py-2.5">
              <Link to="?listings=all" preventScrollReset className="part min-h-6">
                {say('gather.allListings', { count: listings.length })}
              </Link>
            </li>
          )}
          {isOwner && (
            <SourceRow
              name={say('listings.way')}
              hint={
                sites.length > 0
                  ? say('listings.wayHint', { sites: sites.join(', ') })
                  : say('listings.wayOfSheets')
              }
              count={null}
            >
              <Link to={`/s/${params.shop}/gather/connect`} className="btn btn-quiet">
                {say('listings.connectOne')}
              </Link>
            </SourceRow>
          )}
          <SourceRow
            name={say('bringOrders.way')}
            hint={say('bringOrders.wayHint')}
            count={say('gather.ofOrders', { count: orders })}
          >
            {isOwner && (
              <Link to={`/s/${params.shop}/gather/orders`} className="btn btn-quiet">
                {say('bringOrders.bring')}
              </Link>
            )}
          </SourceRow>
          {writtenDown > 0 && (
            <SourceRow name={say('source.manualEntry')} hint={say('gather.byYouHint')} count={writtenDown} />
          )}
        </ul>
        <PageLinks count={loaderData.formCount.matching} ofPage={FORMS_OF_PAGE} />
        <QuietProducts
          shop={params.shop}
          unreviewed={unreviewed}
          total={products}
          isOwner={isOwner}
          form={forms.find(({ state }) => state === 'open')?.address ?? null}
        />
      </div>
      <LatestArrivals shop={params.shop} latest={latest} found={loaderData.latestFound} listings={listings} />
    </main>
  )
}

type Arrivals = Route.ComponentProps['loaderData']['arrivals']

function sentence({ own, elsewhere }: Arrivals, everCame: boolean): string {
  const count = own.count + elsewhere
  if (count === 0) return say(everCame ? 'gather.none' : 'gather.noneEver')
  return say('gather.came', { count })
}

/** What the number in the sentence adds up from. */
function partsOf({ own, elsewhere }: Arrivals): string {
  if (own.count === 0) return elsewhere > 0 ? say('gather.allElsewhere') : ''
  const percent = Math.round((own.verified / own.count) * 100)
  return elsewhere > 0
    ? say('gather.alsoElsewhere', { own: own.count, percent, elsewhere })
    : say('gather.verifiedShare', { percent })
}

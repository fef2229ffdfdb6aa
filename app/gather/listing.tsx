import { ExternalLink } from 'lucide-react'
import { data, Form, Link, redirect, useFetcher } from 'react-router'
import { z } from 'zod'
import { languageName } from '../../core/messages/languageName'
import { say } from '../../core/messages/say/listings'
import type { ListingView } from '../../server/listing/listingViews'
import { requireShop } from '../account/session'
import { Problem } from '../components/Problem'
import { useLookAgain } from '../components/useLookAgain'
import { orOffline } from '../offline'
import { SwitchLine } from '../show/SwitchLine'
import { readForm } from '../readForm'
import { AccessKeyField } from './AccessKeyField'
import { ListingActs } from './ListingActs'
import {
  businessName,
  isPage,
  isReading,
  refusalText,
  refusalWords,
  siteNumbers,
  stateWords,
} from './listingWords'
import { BackLink } from './BackLink'
import { SiteIcon } from './SiteIcon'
import type { Route } from './+types/listing'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'imports')
  const listing = await context.elogio.listingView(shop, params.listing)
  if (!listing) throw data(null, { status: 404 })
  return { listing, clock: { now: context.elogio.now(), timeZone: shop.timeZone, locale: shop.locale } }
}

const sent = z.object({
  intent: z.enum([
    'check',
    'acceptFewer',
    'stop',
    'resume',
    'disconnect',
    'disconnectAndRemove',
    'reconnect',
    'renewKey',
    'arrivals',
    'show',
    'link',
    'unlink',
  ]),
  accessKey: z.string().max(300).default(''),
  arrivesAs: z.enum(['approved', 'waiting']).default('approved'),
})

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop, 'imports')
  const { elogio } = context
  const { intent, accessKey, arrivesAs } = readForm(context, sent)
  const id = params.listing
  if (intent === 'show') {
    const key = await elogio.showListing(shop, id)
    if (!key) throw data(null, { status: 404 })
    return redirect(`/s/${shop.slug}/show/${key}?start`)
  }
  if (intent === 'renewKey') {
    const refusal = await elogio.renewAccessKey(shop, id, accessKey)
    if (refusal === null) return { problem: null }
    const site = (await elogio.listingView(shop, id))?.site?.name ?? ''
    return data({ problem: refusalText(refusal, site) }, { status: 422 })
  }
  const done =
    intent === 'arrivals'
      ? await elogio.setListingArrivals(shop, id, arrivesAs)
      : await elogio.actOnListing(shop, actor, id, intent)
  if (done) return { problem: null }
  return data({ problem: intent === 'reconnect' ? say('listings.cantUndo') : null }, { status: 409 })
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** One listing: what it brought, when it was checked, and what can be done with it. */
export default function ListingPage({ loaderData, params }: Route.ComponentProps) {
  const { listing, clock } = loaderData
  const { site, state, refusal } = listing
  const fetcher = useFetcher<typeof action>({ key: 'listing' })
  useLookAgain(isReading(listing))
  const refused = refusalWords(listing)
  const total = Math.max(listing.count ?? 0, listing.readSoFar ?? 0)
  const isFirst = listing.checkedAt === null && listing.state === 'active' && refusal === null
  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-4 py-6 lg:px-6">
      <title>{`${listing.name} · Elogio`}</title>
      <div className="flex max-w-form flex-col gap-5">
        <div>
          <BackLink shop={params.shop} />
          <h1 className="mt-2 break-words" dir="auto">
            {businessName(listing)}
          </h1>
          <p className="flex flex-wrap items-center gap-x-2 text-soft">
            {site && <SiteIcon path={site.icon} />}
            {say('listings.on', {
              numbers: siteNumbers(listing, listing.scale),
              site: placeOf(listing),
            })}
            <a
              href={listing.url}
              target="_blank"
              rel="noreferrer"
              className="part inline-flex items-center gap-1"
            >
              {say('listings.seeThere', { site: placeOf(listing) })}
              <ExternalLink className="size-3.5" aria-hidden="true" />
            </a>
          </p>
        </div>
        <section className="panel flex flex-col gap-3 px-5 py-5">
          {refused && (
            <p className="font-semibold text-plum">
              {refused} {refusal !== 'fewer' && refusal !== 'closed' && say('listings.nothingLost')}
            </p>
          )}
          <p role="status" className="text-[16px]">
            {stateWords(listing, clock)}
          </p>
          {isFirst && (
            <>
              <progress
                key={total === 0 ? 'begun' : 'measured'}
                className="progress w-full text-petrol"
                aria-label={say('listings.state.begun')}
                {...(total > 0 && { value: listing.readSoFar ?? 0, max: total })}
              />
              <p className="text-soft">{say('listings.meanwhile')}</p>
            </>
          )}
          {state !== 'disconnected' && (
            <>
              <p className="flex flex-wrap items-center gap-x-3">
                {listing.publishable === 0
                  ? say('listings.hereNone')
                  : say('listings.here', { count: listing.publishable })}
                <Link to={`/s/${params.shop}/decide?source=listing&lane=approved`} className="part">
                  {say('listings.seeReviews')}
                </Link>
              </p>
              <Choices listing={listing} />
              <SheetProblems listing={listing} />
            </>
          )}
          <Problem text={fetcher.data?.problem} />
          {(refusal === 'keyRefused' || refusal === 'keyMissing') && site && (
            <fetcher.Form method="post" className="flex flex-col gap-2 border-t border-line pt-4">
              <AccessKeyField intent="renewKey" />
              <details>
                <summary className="part min-h-6 cursor-pointer">
                  {say('listings.howKey', { site: site.name })}
                </summary>
                <ol className="mt-2 flex list-decimal flex-col gap-1 pl-5 text-soft">
                  {site.guide.accessKey.map((step) => (
                    <li key={step}>{step}</li>
                  ))}
                </ol>
              </details>
            </fetcher.Form>
          )}
          <div className="flex flex-wrap gap-3 border-t border-line pt-4">
            {state !== 'disconnected' && (
              <Form method="post">
                <button name="intent" value="show" className="btn btn-primary">
                  {say('listings.show')}
                </button>
              </Form>
            )}
            {state !== 'disconnected' && listing.matching && (
              <Link to="columns" className={`btn ${refusal === 'columns' ? 'btn-primary' : 'btn-quiet'}`}>
                {say('listings.sheet.change')}
              </Link>
            )}
            <ListingActs listing={listing} />
          </div>
        </section>
      </div>
    </main>
  )
}

/** The site; the host of a sheet or page. */
const placeOf = ({ origin, site, url }: ListingView) =>
  isPage(origin) ? new URL(url).host : (site?.name ?? origin)

/** Cells that could not be read, so that the sheet can be corrected. */
function SheetProblems({ listing: { problems, matching } }: { listing: ListingView }) {
  if (!problems || !matching) return null
  if (problems.count + problems.unreadRows.length === 0) return null
  const more = problems.count - problems.first.length
  return (
    <div className="text-[13px]">
      {problems.unreadRows.length > 0 && (
        <p>
          {say('listings.sheet.unreadRows', {
            rows: new Intl.ListFormat('en').format(problems.unreadRows.map(String)),
          })}
        </p>
      )}
      {problems.count > 0 && <p>{say('listings.sheet.problems', { count: problems.count })}</p>}
      <ul className="list-disc pl-5 text-soft [overflow-wrap:anywhere]">
        {problems.first.map(({ row, heading, use, cell }) => (
          <li key={`${row} ${heading}`}>
            {say(`listings.sheet.problem.${use}`, { row, heading, cell, scale: matching.scale })}
          </li>
        ))}
        {more > 0 && <li>{say('listings.sheet.moreProblems', { count: more })}</li>}
      </ul>
    </div>
  )
}

function Choices({ listing }: { listing: ListingView }) {
  const fetcher = useFetcher()
  const { arrivesAs, languages, product, tag, matching, isLinked } = listing
  const limits = [
    languages.length > 0 &&
      say('listings.onlyLanguages', {
        languages: new Intl.ListFormat('en').format(languages.map(languageName)),
      }),
    product && say('listings.about', { product }),
    tag && say('listings.tagged', { tag }),
  ].filter(Boolean)
  return (
    <fetcher.Form method="post">
      <input type="hidden" name="intent" value="arrivals" />
      <label className="flex flex-wrap items-center gap-x-2">
        {say('listings.arrivals')}
        <select
          name="arrivesAs"
          value={(fetcher.formData?.get('arrivesAs') as string | undefined) ?? arrivesAs}
          onChange={(event) => void fetcher.submit(event.currentTarget.form)}
          className="part field-sizing-content min-h-6 cursor-pointer bg-transparent"
        >
          {(['approved', 'waiting'] as const).map((one) => (
            <option key={one} value={one}>
              {say(`listings.arrivesAs.${one}`)}
            </option>
          ))}
        </select>
      </label>
      {matching && (
        <div>
          <SwitchLine
            words={say('listings.sheet.link')}
            on={isLinked}
            set={(on) => void fetcher.submit({ intent: on ? 'link' : 'unlink' }, { method: 'post' })}
          />
          <p className={`text-[13px] ${isLinked ? 'font-semibold text-ochre' : 'text-soft'}`}>
            {say(isLinked ? 'listings.sheet.linkWarning' : 'listings.sheet.linkHint')}
          </p>
        </div>
      )}
      {limits.length > 0 && <p className="text-soft">{limits.join(', ')}</p>}
    </fetcher.Form>
  )
}

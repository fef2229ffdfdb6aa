import { useEffect, useState } from 'react'
import { data, Form, Link, redirect, useNavigation, useSearchParams, useSubmit } from 'react-router'
import { z } from 'zod'
import { say } from '../../core/messages/say/listings'
import { requireShop } from '../account/session'
import { Problem } from '../components/Problem'
import { useLastAnswer } from '../components/useLastAnswer'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import { waitWords } from '../waitWords'
import { AccessKeyField } from './AccessKeyField'
import { BusinessCard } from './BusinessCard'
import { ConnectForm } from './ConnectForm'
import { BackLink } from './BackLink'
import { isPage, refusalText } from './listingWords'
import { matchingOrNothing } from './sheetFields'
import { SiteIcon } from './SiteIcon'
import { Suggestions } from './Suggestions'
import { UnderstoodLine } from './UnderstoodLine'
import type { Route } from './+types/connect'

const TYPING_MS = 350
/** The id of a sheet or page is its address. */
const MAX_ID = 2000

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member } = await requireShop(request, context, params.shop, 'imports')
  const { elogio } = context
  const query = new URL(request.url).searchParams
  const sites = elogio.sites()
  const [id, typed] = [query.get('id')?.slice(0, MAX_ID) ?? '', query.get('q')?.slice(0, MAX_ID) ?? '']
  const site = sites.find(({ origin }) => origin === query.get('site')) ?? sites[0] ?? null
  const kind = query.get('kind') === 'post' ? ('post' as const) : ('listing' as const)
  const mayLookUp = (id || typed) === '' || (await context.throttle.lookUp(member.id)) === null
  const understood =
    !site || !mayLookUp
      ? null
      : id
        ? await elogio.describeOnSite(shop, site.origin, { kind, id })
        : typed.trim().length >= 3
          ? await elogio.suggestOnSite(shop, site.origin, typed)
          : null
  const products = await elogio.productChoices(shop)
  const { locale, timeZone } = shop
  return { sites, site, id, kind, typed, understood, products, locale, timeZone }
}

const sent = z.object({
  intent: z.enum(['connect', 'tryKey']),
  site: z.string().max(40),
  id: z.string().min(1).max(MAX_ID),
  kind: z.enum(['listing', 'post']).default('listing'),
  accessKey: z.string().max(300).default(''),
  product: z.string().max(100).default(''),
  tag: z.string().max(40).default(''),
  arrivesAs: z.enum(['approved', 'waiting']).default('approved'),
  name: z.string().max(80).default(''),
  matching: matchingOrNothing.default(null),
})

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, member } = await requireShop(request, context, params.shop, 'imports')
  const { elogio } = context
  const given = readForm(context, sent)
  const wait = await context.throttle.lookUp(member.id)
  if (wait !== null) return data({ problem: waitWords(wait) }, { status: 429 })
  const name = elogio.sites().find(({ origin }) => origin === given.site)?.name ?? given.site
  if (given.intent === 'tryKey') {
    const tried = await elogio.tryAccessKey(shop, { ...given, origin: given.site })
    if ('refusal' in tried) return data({ problem: refusalText(tried.refusal, name) }, { status: 422 })
    return { described: tried.described, accessKey: given.accessKey }
  }
  const languages = (context.form?.getAll('languages') ?? []).filter((one) => typeof one === 'string')
  const made = await elogio.connectListing(shop, {
    ...given,
    origin: given.site,
    languages: languages.slice(0, 50),
  })
  if (made.outcome === 'refused')
    return data({ problem: refusalText(made.refusal, isPage(given.site) ? null : name) }, { status: 422 })
  return redirect(`/s/${shop.slug}/gather/listings/${made.listing}`)
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** Finds the shop's page on another site, shows it, and connects it. */
export default function Connect({ loaderData, actionData, params }: Route.ComponentProps) {
  const { sites, site, id, kind, typed, understood, products, locale, timeZone } = loaderData
  const answer = useLastAnswer(actionData)
  const problem = answer && 'problem' in answer ? answer.problem : null
  const tried = answer && 'described' in answer && answer.described.id === id ? answer : null
  const described = tried?.described ?? (understood?.kind === 'described' ? understood.described : null)
  const shown = described ? sites.find(({ origin }) => origin === described.origin)! : site
  const needsKey = !described && understood?.kind === 'needsKey'
  const keySite = needsKey ? sites.find(({ origin }) => origin === understood.origin)! : null
  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-4 py-6 lg:px-6">
      <title>{`${say('listings.title')} · Elogio`}</title>
      <div className="grid max-w-page gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_320px]">
        <div className="lg:col-span-2">
          <BackLink shop={params.shop} />
          <h1 className="mt-2">{say('listings.title')}</h1>
          <p className="text-soft">{say('listings.why')}</p>
        </div>
        {site && shown && (
          <>
            <div className="flex min-w-0 flex-col gap-5">
              {!described && <SiteChoice {...{ shop: params.shop, sites, site, typed }} />}
              {!described && !needsKey && <Lookup key={site.origin} site={site} typed={typed} />}
              <Problem text={problem} />
              <div role="status">
                {understood && !described && understood.kind === 'suggested' ? (
                  understood.suggestions.length > 0 ? (
                    <>
                      <h2 className="pb-1 font-semibold">
                        {say('listings.suggestions', { count: understood.suggestions.length })}
                      </h2>
                      <Suggestions shop={params.shop} found={understood.suggestions} sites={sites} />
                    </>
                  ) : site.needs === 'nothing' ? (
                    <p>
                      {isPage(site.origin)
                        ? say('listings.notAnAddress')
                        : say('listings.nothing', { site: site.name })}
                    </p>
                  ) : null
                ) : (
                  understood &&
                  !described &&
                  !needsKey && <UnderstoodLine shop={params.shop} understood={understood} sites={sites} />
                )}
              </div>
              {needsKey && keySite && <KeyForm site={keySite} id={understood.id} />}
              {described && (
                <section className="panel flex flex-col gap-5 px-5 py-5">
                  <BusinessCard described={described} site={shown} />
                  <ConnectForm
                    shop={params.shop}
                    described={described}
                    site={shown}
                    kind={kind}
                    accessKey={tried?.accessKey ?? ''}
                    products={products}
                    locale={locale}
                    timeZone={timeZone}
                  />
                </section>
              )}
            </div>
            <Steps
              title={
                isPage(shown.origin)
                  ? say('listings.howPage')
                  : say(needsKey ? 'listings.howKey' : 'listings.how', { site: (keySite ?? shown).name })
              }
              steps={needsKey ? keySite!.guide.accessKey : shown.guide.find}
            />
          </>
        )}
      </div>
    </main>
  )
}

type Data = Route.ComponentProps['loaderData']
type Site = NonNullable<Data['site']>

function SiteChoice({
  shop,
  sites,
  site,
  typed,
}: {
  shop: string
  sites: Site[]
  site: Site
  typed: string
}) {
  return (
    <nav aria-label={say('listings.site')} className="flex flex-wrap gap-2">
      {sites.map(({ origin, name, icon }) => (
        <Link
          key={origin}
          to={`/s/${shop}/gather/connect?${new URLSearchParams({ site: origin, ...(typed && { q: typed }) }).toString()}`}
          replace
          preventScrollReset
          aria-current={origin === site.origin ? 'true' : undefined}
          className={`flex min-h-11 items-center gap-2 rounded-lg border px-4 ${
            origin === site.origin ? 'border-petrol bg-tint font-semibold' : 'border-edge bg-paper'
          }`}
        >
          <SiteIcon path={icon} />
          {name}
        </Link>
      ))}
    </nav>
  )
}

function Lookup({ site, typed }: { site: Site; typed: string }) {
  const [text, setText] = useState(typed)
  const submit = useSubmit()
  const isBusy = useNavigation().state !== 'idle'
  const [query] = useSearchParams()
  const asked = query.get('q') ?? ''
  useEffect(() => {
    if (text.trim().length < 3 || text === asked) return
    const timer = setTimeout(
      () => void submit({ site: site.origin, q: text }, { replace: true, preventScrollReset: true }),
      TYPING_MS,
    )
    return () => clearTimeout(timer)
  }, [text, asked, site.origin, submit])
  return (
    <Form method="get" className="flex flex-col gap-2">
      <input type="hidden" name="site" value={site.origin} />
      <label className="font-semibold" htmlFor="q">
        {isPage(site.origin) ? say('listings.pageField') : say('listings.field', { site: site.name })}
      </label>
      <div className="flex gap-2">
        <input
          id="q"
          name="q"
          autoFocus
          autoComplete="off"
          value={text}
          placeholder={say(isPage(site.origin) ? 'listings.pageExample' : 'listings.example')}
          className="input h-11 w-full border-edge text-[16px]"
          onChange={(event) => setText(event.currentTarget.value)}
        />
        <button className="btn btn-quiet h-11" aria-busy={isBusy}>
          {say('listings.search')}
        </button>
      </div>
    </Form>
  )
}

function KeyForm({ site, id }: { site: Site; id: string }) {
  return (
    <Form method="post" className="panel flex flex-col gap-2 px-5 py-5">
      <input type="hidden" name="site" value={site.origin} />
      <input type="hidden" name="id" value={id} />
      <AccessKeyField intent="tryKey" hint={say('listings.keyWhy', { site: site.name })} />
    </Form>
  )
}

function Steps({ title, steps }: { title: string; steps: string[] }) {
  return (
    <aside className="lg:border-l lg:border-line lg:pl-6">
      <h2 className="pb-2 font-semibold">{title}</h2>
      <ol className="flex list-decimal flex-col gap-2 pl-5 text-soft">
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </aside>
  )
}

import { lazy, Suspense } from 'react'
import { data, Form, redirect, useNavigation } from 'react-router'
import { newAccountSchema, shopProfileSchema } from '../../core/account/shopProfile'
import type { FetchFailure } from '../../server/outside/fetchOutside'
import { familyName } from '../../core/site/fonts'
import { say } from '../../core/messages/say/setUp'
import { keepSession, sessionToken } from '../account/session'
import { Wordmark } from '../components/Wordmark'
import { formFields } from '../readForm'
import { storageWords } from '../storageProblem'
import { waitWords } from '../waitWords'
import type { Route } from './+types/begin'

// It draws a display, which the first step does without.
const KeepShop = lazy(() => import('./KeepShop'))

/** Anyone can set up the first shop; later only members. */
async function whoSetsUp(request: Request, context: Route.LoaderArgs['context']) {
  const token = await sessionToken(request, context)
  const known = token ? await context.elogio.findSession(token) : null
  if (!known && !(await context.elogio.isEmpty())) throw redirect('/sign-in')
  return known
}

const plainShop = {
  brand: '#0e4654',
  background: '#ffffff',
  textColour: '#13262c',
  fonts: '',
  locale: 'en',
  domain: '',
}

export async function loader({ request, context }: Route.LoaderArgs) {
  const known = await whoSetsUp(request, context)
  const asked = new URL(request.url).searchParams
  const site = asked.get('site')?.trim() ?? ''
  const isMember = known !== null
  const ask = { step: 'ask' as const, site, isMember, problem: null as string | null }
  if (!site) return asked.has('hand') ? { ...byHand(context), isMember } : ask
  const wait = await context.throttle.readSite(context.clientAddress)
  if (wait !== null) return { ...ask, problem: waitWords(wait) }
  const result = await context.elogio.readShopSite(site)
  if (result.outcome === 'failed') return { ...ask, problem: failureWords(result.failure, result.status) }
  const { reading, picture, url } = result
  const brand = reading.colours.brand ?? plainShop.brand
  const locale = reading.language ?? plainShop.locale
  return {
    step: 'correct' as const,
    isMember,
    site,
    values: {
      ...blank,
      name: reading.name.slice(0, 80),
      description: reading.description,
      site_url: url,
      picture: picture ?? '',
      brand,
      background: reading.colours.background,
      textColour: reading.colours.textColour,
      fonts: reading.fonts.body ?? '',
      corners: String(reading.corners),
      locale,
      languages: locale.slice(0, 2).toLowerCase(),
      own_domains: reading.domain,
    },
    candidates: reading.colours.candidates,
    fontName: reading.fonts.body ? familyName(reading.fonts.body) : null,
    html: preview(context, { name: reading.name, locale }),
    timeZones: Intl.supportedValuesOf('timeZone'),
  }
}

const blank = {
  name: '',
  short_name: '',
  description: '',
  site_url: '',
  picture: '',
  brand: plainShop.brand,
  background: plainShop.background,
  textColour: plainShop.textColour,
  fonts: '',
  corners: '8',
  locale: plainShop.locale,
  languages: '',
  own_domains: '',
  reply_name: '',
  time_zone: '',
}

function byHand(context: Route.LoaderArgs['context']) {
  return {
    step: 'correct' as const,
    site: '',
    values: blank,
    candidates: [] as string[],
    fontName: null,
    html: preview(context, { name: '', locale: blank.locale }),
    timeZones: Intl.supportedValuesOf('timeZone'),
  }
}

function preview(
  { elogio }: Route.LoaderArgs['context'],
  { name, locale }: { name: string; locale: string },
): string {
  return elogio.samplePreview({ name, shortName: name, locale, timeZone: 'UTC' })
}

function failureWords(failure: FetchFailure | 'complex', status: number | null): string {
  return `${say(`setUp.failed.${failure}`, { status: status ?? '' })} ${say('setUp.failed.goOn')}`
}

export async function action({ request, context }: Route.ActionArgs) {
  const known = await whoSetsUp(request, context)
  const fields = formFields(context)
  const profile = shopProfileSchema.safeParse({
    ...fields,
    languages: context.form?.getAll('languages').join(', '),
    time_zone: fields.time_zone || 'UTC',
  })
  const account = known ? null : newAccountSchema.safeParse(fields)
  if (!profile.success || account?.success === false) {
    const errors = {
      ...profile.error?.flatten().fieldErrors,
      ...account?.error?.flatten().fieldErrors,
    } as Record<string, string[]>
    return data({ errors, problem: null }, { status: 422 })
  }
  const result = await context.elogio
    .setUp(profile.data, known ? { member: known.member } : { account: account!.data! })
    .catch((error: unknown) => {
      const problem = storageWords(error)
      if (!problem) throw error
      return { outcome: 'notStored' as const, problem }
    })
  if (result.outcome === 'notStored')
    return data({ errors: {} as Record<string, string[]>, problem: result.problem }, { status: 503 })
  if (result.outcome === 'emailTaken')
    return data({ errors: { email: [say('setUp.error.emailTaken')] }, problem: null }, { status: 422 })
  if (result.outcome !== 'done') throw redirect('/sign-in')
  const headers: HeadersInit = result.token ? { 'Set-Cookie': await keepSession(context, result.token) } : {}
  return redirect(`/s/${result.slug}/gather`, { headers })
}

export default function Begin({ loaderData, actionData }: Route.ComponentProps) {
  if (loaderData.step === 'correct')
    return (
      <Suspense>
        <KeepShop
          key={loaderData.site}
          found={loaderData}
          errors={actionData?.errors ?? {}}
          problem={actionData?.problem ?? null}
        />
      </Suspense>
    )
  return <AskForSite {...loaderData} />
}

function AskForSite({ site, problem }: { site: string; problem: string | null }) {
  const navigation = useNavigation()
  const reading =
    navigation.state === 'loading' ? new URLSearchParams(navigation.location.search).get('site') : null
  return (
    <div className="grid min-h-dvh place-items-center bg-deep p-6">
      <title>{`${say('setUp.title')} · Elogio`}</title>
      <main className="w-full max-w-[560px]">
        <p className="mb-6 text-white">
          <Wordmark className="block !text-[38px]" />
          <span className="mt-3 block text-[#d5e3e5]">{say('account.tagline')}</span>
        </p>
        <Form method="get" className="panel flex flex-col gap-3 p-6">
          <h1 id="ask">{say('setUp.ask')}</h1>
          <p className="text-soft">{say('setUp.askWhy')}</p>
          <input
            name="site"
            aria-labelledby="ask"
            defaultValue={site}
            required
            autoFocus
            inputMode="url"
            autoCapitalize="none"
            autoComplete="url"
            placeholder={say('setUp.addressExample')}
            className="input h-12 w-full border-edge text-[17px]"
          />
          {problem && (
            <p role="alert" className="font-semibold text-plum">
              {problem}
            </p>
          )}
          <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-2">
            <button className="btn btn-primary" disabled={reading !== null}>
              {say('setUp.read')}
            </button>
            <a href="/begin?hand" className="part">
              {say('setUp.byHand')}
            </a>
          </div>
          <p role="status" className="text-soft">
            {reading && say('setUp.reading', { site: reading })}
          </p>
        </Form>
      </main>
    </div>
  )
}

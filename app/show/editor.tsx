import { useState } from 'react'
import { data, Link } from 'react-router'
import { z } from 'zod'
import { configurationSchema } from '../../core/display/configuration'
import { spokenMoment } from '../../core/formats/dates'
import type { SentencePart } from '../../core/display/sentence'
import { say } from '../../core/words/say'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { jsonText, readForm } from '../readForm'
import { FairGauge } from './FairGauge'
import { MakeLive } from './MakeLive'
import { PickedList } from './PickedList'
import { PlaceCode } from './PlaceCode'
import { Sentence } from './Sentence'
import { Strip } from './Strip'
import { TruePreview } from './TruePreview'
import { useDraft } from './useDraft'
import type { Route } from './+types/editor'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const view = await context.elogio.editorView(shop, params.key)
  if (!view) throw data(null, { status: 404 })
  const spoken = {
    now: context.elogio.now(),
    timeZone: shop.timeZone,
    locale: shop.locale,
    today: say('today'),
  }
  return {
    ...view,
    locale: shop.locale,
    keptAt: spokenMoment(view.savedAt, spoken),
    liveAt: view.live?.publishedAt ? spokenMoment(view.live.publishedAt, spoken) : null,
    localOnly: /^https?:\/\/(localhost|127\.|\[::1\])/.test(view.pageUrl),
  }
}

const asked = z.discriminatedUnion('intent', [
  z.object({ intent: z.literal('save'), configuration: jsonText(configurationSchema) }),
  z.object({ intent: z.literal('live') }),
  z.object({ intent: z.literal('discard') }),
])

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  const wish = await readForm(request, asked)
  switch (wish.intent) {
    case 'save':
      if (!(await context.elogio.saveDraft(shop, params.key, wish.configuration)))
        throw data(null, { status: 404 })
      return null
    case 'live':
      if (!(await context.elogio.makeLive(shop, member, params.key))) throw data(null, { status: 404 })
      return null
    case 'discard':
      if (!(await context.elogio.discardDraft(shop, params.key))) throw data(null, { status: 404 })
      return null
  }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export default function Editor({ loaderData: view, params }: Route.ComponentProps) {
  const [open, setOpen] = useState<SentencePart | null>(null)
  const [panel, setPanel] = useState<'live' | 'code' | null>(null)
  const { draft, change, saving, problem } = useDraft(view.draft, `/s/${params.shop}/show/${params.key}`)
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <title>{`${view.name} · ${say('show.title')} · Elogio`}</title>
      <div className="border-b border-line bg-paper px-6 pt-3 pb-3">
        <div className="flex flex-wrap items-center gap-2">
          <div className="flex items-baseline gap-1.5 text-[13px] text-soft">
            <Link to={`/s/${params.shop}/show`} className="underline-offset-2 hover:underline">
              {say('show.displays')}
            </Link>
            <span aria-hidden="true">/</span>
            <h1 className="text-[13px] font-semibold text-ink">{view.name}</h1>
            <span>({say('show.onlyYou')})</span>
          </div>
          <span
            className={`ml-auto text-[13px] ${problem ? 'font-semibold text-plum' : 'text-soft'}`}
            role="status"
          >
            {problem
              ? say('show.notKept', { why: problem })
              : saving
                ? say('show.keeping')
                : say('show.kept', { at: view.keptAt })}
          </span>
          <MakeLive view={view} open={panel === 'live'} setOpen={(on) => setPanel(on ? 'live' : null)} />
          <PlaceCode view={view} open={panel === 'code'} setOpen={(on) => setPanel(on ? 'code' : null)} />
        </div>
        <Sentence configuration={draft} open={open} setOpen={setOpen} />
        {open && <Strip part={open} draft={draft} view={view} change={change} close={() => setOpen(null)} />}
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_276px] lg:grid-rows-[minmax(0,1fr)]">
        <div className="flex min-h-0 min-w-0 flex-col">
          <TruePreview
            preview={view.preview}
            layout={view.draft.layout}
            dress={view.dress}
            empty={view.picked.length === 0}
            samples={view.samples}
            shop={params.shop}
          />
          <FairGauge chosen={view.chosen} all={view.all} stock={view.stock} locale={view.locale} />
        </div>
        <PickedList shop={params.shop} picked={view.picked} stock={view.stock} />
      </div>
    </main>
  )
}

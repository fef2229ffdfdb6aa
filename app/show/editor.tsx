import { ArrowLeft, Redo2, Undo2 } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { data, Link, useLocation } from 'react-router'
import { z } from 'zod'
import { changeInBand, inBand, type Band } from '../../core/display/bands'
import { configurationSchema, type Configuration } from '../../core/display/configuration'
import { measuresSchema, type Measure } from '../../core/display/measures'
import { showsReviews } from '../../core/display/layoutTraits'
import { themeSchema } from '../../core/display/themeSchema'
import { pictureAddress } from '../../core/formats/picture'
import { slugOf } from '../../core/account/slug'
import { say } from '../../core/messages/say/show'
import { requireShop } from '../account/session'
import { marksOf } from '../changedParts.server'
import { StepButton } from '../components/StepButton'
import { orOffline } from '../offline'
import { jsonText, readForm } from '../readForm'
import { reloadParts, useRemembered } from '../reloadParts'
import { swapIn } from '../../core/curation/byHand'
import { FairGauge } from './FairGauge'
import { PublishPanel } from './PublishPanel'
import { loadEditor } from './loadEditor.server'
import { measureBeside } from './measure'
import { NameField } from './NameField'
import { Sentence, type OpenPart } from './Sentence'
import { OnlyHere } from './preview/OnlyHere'
import { PreviewCanvas } from './preview/PreviewCanvas'
import { useDraft } from './useDraft'
import { useUndoKeys } from './useUndoKeys'
import type { Route } from './+types/editor'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const view = await loadEditor(request, context, params)
  return { ...view, marks: marksOf(view) }
}

export function clientLoader({ request, serverLoader }: Route.ClientLoaderArgs) {
  return reloadParts(request, serverLoader)
}

const asked = z.discriminatedUnion('intent', [
  z.object({
    intent: z.literal('save'),
    configuration: jsonText(configurationSchema),
    tab: z.string().max(40).default(''),
    base: z.string().max(40).optional(),
  }),
  z.object({ intent: z.literal('live'), judged: z.string().max(40).optional() }),
  z.object({ intent: z.literal('back'), version: z.coerce.number().int().positive().optional() }),
  z.object({ intent: z.literal('rename'), name: z.string().trim().min(1).max(80) }),
  z.object({ intent: z.literal('address'), address: z.string().trim().max(60) }),
  z.object({
    intent: z.literal('picture'),
    picture: pictureAddress,
    tab: z.string().max(40).default(''),
  }),
  z.object({
    intent: z.literal('saveLook'),
    name: z.string().trim().min(1).max(60),
    theme: jsonText(themeSchema),
  }),
  z.object({ intent: z.enum(['removeLook', 'restoreLook']), look: z.string().max(40) }),
  z.object({ intent: z.literal('startLike'), theme: jsonText(themeSchema) }),
  z.object({ intent: z.literal('copied'), measures: jsonText(measuresSchema) }),
])

export async function action({ request, context, params: { shop: slug, key } }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, slug, 'displays')
  const wish = readForm(context, asked)
  const { elogio } = context
  const found = <Answer,>(answer: Answer) => {
    if (!answer) throw data(null, { status: 404 })
    return answer
  }
  switch (wish.intent) {
    case 'save': {
      const { configuration, tab, base } = wish
      const saved = await elogio.saveDraft(shop, key, configuration, { tab, base: base ?? null })
      if (!saved) throw data(null, { status: 404 })
      return saved
    }
    case 'live':
      return found(await elogio.makeLive(shop, actor, key, wish.judged)) === 'changedMeanwhile'
        ? { problem: say('show.changedMeanwhile') }
        : null
    case 'back':
      return found(await elogio.restoreVersion(shop, key, wish.version))
    case 'rename':
      return found(await elogio.renameDisplay(shop, key, wish.name))
    case 'address':
      return elogio.setDisplayAddress(shop, key, wish.address && slugOf(wish.address))
    case 'picture':
      return found(await elogio.setSharingPicture(shop, key, wish.picture, wish.tab))
    case 'saveLook':
      return { look: await elogio.saveLook(shop, wish.name, wish.theme) }
    case 'removeLook':
    case 'restoreLook':
      await elogio[wish.intent](shop, wish.look)
      return null
    case 'startLike':
      await elogio.startDisplaysLike(shop, wish.theme)
      return null
    case 'copied':
      return found(await elogio.keepMeasured(shop, key, wish.measures))
  }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline<unknown>(serverAction)
}

// Panels load when they are opened, or when the pointer comes near.
const PickedList = lazy(() => import('./PickedList'))
const loadStrip = () => import('./strips/Strip')
const Strip = lazy(loadStrip)
const PlaceCode = lazy(() => import('./PlaceCode'))
const Versions = lazy(() => import('./Versions'))
const ChangedElsewhere = lazy(() => import('./ChangedElsewhere'))

type PanelName = 'live' | 'code' | 'versions'

export default function Editor({ loaderData: view, params }: Route.ComponentProps) {
  const [open, setOpen] = useState<OpenPart | null>(null)
  const [panel, setPanel] = useState<PanelName | null>(null)
  const [box, setBox] = useState<HTMLElement | null>(null)
  const [measures, setMeasures] = useState<Measure[]>([])
  const at = `/s/${params.shop}/show/${params.key}`
  useRemembered(at + useLocation().search, view)
  const { draft, change, undo, redo, saving, problem, afterSaving, elsewhere } = useDraft(
    view.draft,
    view.savedAt,
    at,
    'configuration',
  )
  useUndoKeys(undo, redo)
  const [only, setOnly] = useState<Band | null>(null)
  // While changes are meant for one width alone, the fields show and change what is so there.
  const here = inBand(draft, only)
  const changeHere = (changed: Configuration) => change(only ? changeInBand(draft, changed, only) : changed)
  const close = () => setPanel(null)
  const showCode = () => {
    setMeasures(box ? measureBeside(box, view.preview, draft.layout) : [])
    setPanel('code')
  }
  const names = Object.fromEntries([
    ...view.products.products.map(({ sku, title }) => [sku, title]),
    ...view.listings.map(({ publicId, words }) => [publicId, words]),
    ...view.forms.map(({ publicId, words }) => [publicId, words]),
    ...view.ownLooks.map(({ publicId, name }) => [publicId, name]),
  ]) as Record<string, string>
  const page = draft.placement.url || view.siteUrl
  const ownPage = draft.placement.place === 'own'
  const picks = showsReviews(draft.layout.kind)
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <title>{`${view.name} · ${say('show.title')} · Elogio`}</title>
      <div className="border-b border-line bg-paper px-4 pt-1.5 pb-1.5 lg:px-6">
        <div className="flex flex-wrap items-center gap-2">
          <Link
            to={`/s/${params.shop}/show`}
            className="inline-flex min-h-6 items-center gap-1 text-petrol underline"
          >
            <ArrowLeft className="size-4" aria-hidden="true" />
            {say('show.displays')}
          </Link>
          <NameField name={view.name} />
          <span
            className={`ml-auto text-[13px] ${problem ? 'font-semibold text-plum' : 'text-soft max-lg:sr-only'}`}
            role="status"
          >
            {problem
              ? say('show.notKept', { why: problem })
              : saving
                ? say('show.keeping')
                : say('show.kept', { at: view.keptAt })}
          </span>
          <span className="flex gap-2">
            <StepButton words={say('show.undo')} act={undo}>
              <Undo2 className="size-4" aria-hidden="true" />
            </StepButton>
            <StepButton words={say('show.redo')} act={redo}>
              <Redo2 className="size-4" aria-hidden="true" />
            </StepButton>
          </span>
          <button type="button" className="btn btn-quiet btn-low" onClick={() => setPanel('versions')}>
            {say('show.versions')}
          </button>
          <button type="button" className="btn btn-quiet btn-low" onClick={showCode}>
            {say('show.place')}
          </button>
          <PublishPanel
            view={view}
            open={panel === 'live'}
            setOpen={(on) => setPanel(on ? 'live' : null)}
            firstPublished={showCode}
            afterSaving={afterSaving}
          />
        </div>
        {elsewhere && (
          <Suspense>
            <ChangedElsewhere {...elsewhere} />
          </Suspense>
        )}
        <div onPointerEnter={() => void loadStrip()} onFocus={() => void loadStrip()}>
          <Sentence configuration={draft} names={names} open={open} setOpen={setOpen} />
        </div>
        {open && (
          <Suspense fallback={<div className="mt-2 h-16" />}>
            <Strip
              part={open}
              draft={here}
              view={view}
              change={changeHere}
              page={box && box.ownerDocument !== document ? box.ownerDocument : null}
              setOpen={setOpen}
              close={() => setOpen(null)}
            />
          </Suspense>
        )}
      </div>
      <div
        className={`grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)] ${picks ? 'lg:grid-cols-[minmax(0,1fr)_300px] 2xl:grid-cols-[minmax(0,1fr)_420px]' : ''}`}
      >
        <div className="flex min-h-[560px] min-w-0 flex-col lg:min-h-0">
          <PreviewCanvas
            view={view}
            draft={here}
            change={changeHere}
            only={only}
            setOnly={setOnly}
            onlyHere={(band) => (
              <OnlyHere band={band} only={only} setOnly={setOnly} draft={draft} change={change} />
            )}
            shop={params.shop}
            pageAddress={page && !ownPage ? `${at}/preview?page=${encodeURIComponent(page)}` : null}
            measureIn={setBox}
          />
          {picks && !view.samples && (
            <FairGauge
              fairness={view.fairness}
              chosen={view.chosen}
              all={view.all}
              publishableCount={view.publishableCount}
              locale={view.locale}
              fairer={view.fairer}
              swap={() =>
                change({
                  ...draft,
                  selection: swapIn(
                    draft.selection,
                    view.picked.map(({ publicId }) => publicId),
                    view.fairer.map((one) => ({ out: one.out.publicId, in: one.in.publicId })),
                  ),
                })
              }
            />
          )}
        </div>
        {picks && (
          <Suspense fallback={<aside className="border-l border-line bg-paper" />}>
            <PickedList shop={params.shop} view={view} draft={draft} change={change} />
          </Suspense>
        )}
      </div>
      <Suspense>
        {panel === 'code' && <PlaceCode view={view} shop={params.shop} measures={measures} close={close} />}
        {panel === 'versions' && <Versions versions={view.spokenVersions} close={close} />}
      </Suspense>
    </main>
  )
}

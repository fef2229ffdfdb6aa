import { ArrowLeft, ExternalLink, Redo2, Undo2 } from 'lucide-react'
import { lazy, Suspense, useCallback, useState } from 'react'
import { data, Link, redirect, useFetcher, useSearchParams } from 'react-router'
import { z } from 'zod'
import { slugOf } from '../../core/account/slug'
import { pictureAddress } from '../../core/formats/picture'
import { designProblems } from '../../core/form/designProblems'
import { designSchema } from '../../core/form/design'
import { writersSchema } from '../../core/intake/writers'
import { editedIn, withEdited } from '../../core/form/translation'
import type { CustomerLanguage } from '../../core/messages/customers/languages'
import { languageName } from '../../core/messages/languageName'
import { say } from '../../core/messages/say/forms'
import { TAG_LIMIT } from '../../core/moderation/reviewAct'
import { SelectLine } from '../show/SelectLine'
import { requireShop } from '../account/session'
import { CopyButton } from '../components/CopyButton'
import { Menu } from '../components/Menu'
import { StepButton } from '../components/StepButton'
import { orOffline } from '../offline'
import { jsonText, readForm } from '../readForm'
import { NameField } from '../show/NameField'
import { useDraft } from '../show/useDraft'
import { useUndoKeys } from '../show/useUndoKeys'
import { FormPreview } from './forms/FormPreview'
import { FormSentence } from './forms/FormSentence'
import { PartList } from './forms/PartList'
import { PartPanel } from './forms/PartPanel'
import { isUse, type FormPart } from './forms/formParts'
import type { Route } from './+types/form'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const view = await context.elogio.formView(shop, params.form)
  if (!view) throw data(null, { status: 404 })
  return { ...view, shopColour: shop.brand }
}

const asked = z.discriminatedUnion('intent', [
  z.object({
    intent: z.literal('save'),
    draft: jsonText(designSchema),
    tab: z.string().max(40).default(''),
    base: z.string().max(40).optional(),
  }),
  z.object({ intent: z.literal('writers'), writers: writersSchema }),
  z.object({ intent: z.literal('rename'), name: z.string().trim().min(1).max(80) }),
  z.object({ intent: z.literal('address'), address: z.string().trim().min(1).max(60) }),
  z.object({ intent: z.literal('picture'), picture: pictureAddress }),
  z.object({
    intent: z.literal('settings'),
    lastDay: z.union([z.literal(''), z.iso.date()]).optional(),
    arrivesAs: z.enum(['waiting', 'approved']).optional(),
    tag: z.string().trim().max(TAG_LIMIT).optional(),
  }),
  z.object({
    intent: z.enum([
      'publish',
      'discard',
      'close',
      'copy',
      'remove',
      'display',
      'removeTrials',
      'restoreTrials',
    ]),
  }),
])

export async function action({ request, context, params: { shop: slug, form } }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, slug, 'settings')
  const wish = readForm(context, asked)
  const { elogio } = context
  const found = (answer: unknown) => {
    if (!answer) throw data(null, { status: 404 })
    return null
  }
  switch (wish.intent) {
    case 'save':
      return (
        (await elogio.saveFormDraft(shop, form, wish.draft, { tab: wish.tab, base: wish.base ?? null })) ??
        found(null)
      )
    case 'writers':
      return found(await elogio.setWriters(shop, form, wish.writers))
    case 'rename':
      return found(await elogio.renameForm(shop, form, wish.name))
    case 'address':
      return elogio.setFormAddress(shop, form, slugOf(wish.address))
    case 'settings': {
      const { intent: _intent, ...settings } = wish
      return found(await elogio.setFormSettings(shop, form, settings))
    }
    case 'picture':
      return { picture: await elogio.storeFormPicture(shop, wish.picture) }
    case 'display': {
      const key = await elogio.displayOfForm(shop, form)
      found(key)
      return redirect(`/s/${slug}/show/${key}?start`)
    }
    case 'removeTrials':
    case 'restoreTrials':
      await elogio.removeTrials(shop, actor, form, wish.intent === 'restoreTrials')
      return redirect(
        `/s/${slug}/gather/forms/${form}${wish.intent === 'removeTrials' ? '?tests=removed' : ''}`,
      )
    case 'publish':
      return found((await elogio.publishForm(shop, form)) === 'published')
    case 'discard':
      return found(await elogio.discardFormDraft(shop, form))
    case 'close':
      return found(await elogio.closeForm(shop, form))
    case 'copy': {
      const { name = '' } = (await elogio.formView(shop, form)) ?? {}
      const copy = await elogio.copyForm(
        shop,
        form,
        say('forms.copyName', { name: name || say('forms.unnamed') }),
      )
      found(copy)
      return redirect(`/s/${slug}/gather/forms/${copy}`)
    }
    case 'remove':
      found(await elogio.setFormRemoved(shop, form, true))
      return redirect(`/s/${slug}/gather?removed=${form}`)
  }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline<unknown>(serverAction)
}

// It is opened when the form is finished.
const SettingsPanel = lazy(() => import('./forms/SettingsPanel'))
const FormUse = lazy(() => import('./forms/FormUse'))
const ChangedElsewhere = lazy(() => import('../show/ChangedElsewhere'))

/** The form is its own editor: a click on any part of the customers' page opens its settings. */
export default function FormEditor({ loaderData: view, params }: Route.ComponentProps) {
  const at = `/s/${params.shop}/gather/forms/${params.form}`
  const { draft, change, undo, redo, saving, problem, afterSaving, elsewhere } = useDraft(
    view.draft,
    view.savedAt,
    at,
    'draft',
  )
  useUndoKeys(undo, redo)
  const tested = useSearchParams()[0].has('tests')
  const [part, setPart] = useState<FormPart | null>(tested ? 'try' : null)
  const choose = useCallback((chosen: FormPart) => setPart(chosen), [])
  const [language, setLanguage] = useState<CustomerLanguage | ''>('')
  const act = useFetcher()
  const submit = (intent: string) =>
    afterSaving(() => void act.submit({ intent }, { method: 'post', action: at }))
  const problems = designProblems(draft)
  const name = view.name || say('forms.unnamed')
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <title>{`${name} · ${say('gather.title')} · Elogio`}</title>
      <div className="border-b border-line bg-paper px-4 pt-1.5 pb-2 lg:px-6">
        <div className="flex flex-wrap items-center gap-2">
          <Link
            to={`/s/${params.shop}/gather`}
            className="inline-flex min-h-6 items-center gap-1 text-petrol underline"
          >
            <ArrowLeft className="size-4" aria-hidden="true" />
            {say('forms.back')}
          </Link>
          <NameField name={name} />
          <span className="text-[13px] text-soft">
            {say(`forms.state.${view.isOver ? 'over' : view.state}`)}
          </span>
          <span
            className={`ml-auto text-[13px] ${problem ? 'font-semibold text-plum' : 'text-soft'}`}
            role="status"
          >
            {problem ? say('show.notKept', { why: problem }) : saving ? say('show.keeping') : ''}
          </span>
          <StepButton words={say('show.undo')} act={undo}>
            <Undo2 className="size-4" aria-hidden="true" />
          </StepButton>
          <StepButton words={say('show.redo')} act={redo}>
            <Redo2 className="size-4" aria-hidden="true" />
          </StepButton>
          {view.state !== 'draft' && (
            <>
              <span className="[&_.btn]:h-8 [&_.btn]:min-h-8">
                <CopyButton text={view.address} label={say('forms.copyAddress')} />
              </span>
              <a href={`/f/${view.slug}`} target="_blank" rel="noreferrer" className="btn btn-quiet btn-low">
                {say('forms.look')}
                <ExternalLink className="size-4" aria-hidden="true" />
              </a>
            </>
          )}
          {view.differs && (
            <button type="button" className="btn btn-quiet btn-low" onClick={() => submit('discard')}>
              {say('forms.discard')}
            </button>
          )}
          {view.state === 'open' && !view.differs ? (
            <span className="text-[13px] font-semibold text-moss">{say('forms.published')}</span>
          ) : (
            <button
              type="button"
              className="btn btn-primary btn-low"
              disabled={problems.length > 0}
              onClick={() => submit('publish')}
            >
              {say(
                view.state === 'open'
                  ? 'forms.publish'
                  : view.state === 'closed'
                    ? 'forms.reopen'
                    : 'forms.open',
              )}
            </button>
          )}
          <Menu label={<span className="part">{say('forms.more')}</span>} name="">
            <ul className="flex flex-col">
              {(view.state === 'open'
                ? (['close', 'copy', 'remove'] as const)
                : (['copy', 'remove'] as const)
              ).map((intent) => (
                <li key={intent}>
                  <button
                    type="button"
                    className="min-h-9 w-full rounded-lg px-2 text-left hover:bg-wash"
                    onClick={() => submit(intent)}
                  >
                    {say(`forms.${intent}`)}
                  </button>
                </li>
              ))}
            </ul>
          </Menu>
        </div>
        {elsewhere && (
          <Suspense>
            <ChangedElsewhere {...elsewhere} />
          </Suspense>
        )}
        <FormSentence draft={draft} settings={view.settings} products={view.products} choose={choose} />
        {problems[0] && (
          <p className="text-[13px] font-semibold text-ochre">{say(`forms.problem.${problems[0].fault}`)}</p>
        )}
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[340px_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)]">
        <div className="relative min-h-0 overflow-y-auto border-r border-line bg-paper px-6 py-4">
          {part === 'writers' || part === 'arrivals' || isUse(part) ? (
            <div className="flex flex-col gap-3">
              <button
                type="button"
                className="inline-flex min-h-6 items-center gap-1 self-start text-petrol underline"
                onClick={() => setPart(null)}
              >
                <ArrowLeft className="size-4" aria-hidden="true" />
                {say('forms.allParts')}
              </button>
              {isUse(part) ? (
                <Suspense>
                  <FormUse {...{ part, view, at }} />
                </Suspense>
              ) : (
                <Suspense>
                  <SettingsPanel {...{ part, view }} />
                </Suspense>
              )}
            </div>
          ) : part ? (
            <PartPanel
              {...{ part }}
              draft={language ? editedIn(draft, language) : draft}
              change={(changed) => change(language ? withEdited(draft, language, changed) : changed)}
              key={language}
              shopColour={view.shopColour}
              products={view.products}
              leave={() => setPart(null)}
            />
          ) : (
            <>
              <PartList {...{ draft, change, choose }} isDraft={view.state === 'draft'} />
            </>
          )}
        </div>
        <FormPreview
          address={`${at}/page${language ? `?lang=${language}` : ''}`}
          {...{ draft, part, choose }}
          words={
            view.languages.length > 1 && (
              <SelectLine
                label={say('forms.wordsFor')}
                value={language}
                choices={[
                  ['', say('forms.allLanguages')],
                  ...view.languages.map((one): [CustomerLanguage, string] => [one, languageName(one)]),
                ]}
                choose={setLanguage}
              />
            )
          }
        />
      </div>
    </main>
  )
}

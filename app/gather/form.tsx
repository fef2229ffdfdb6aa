import { lazy, Suspense, useCallback, useState } from 'react'
import { data, redirect, useFetcher, useSearchParams } from 'react-router'
import { z } from 'zod'
import { slugOf } from '../../core/account/slug'
import { pictureAddress } from '../../core/formats/picture'
import { designProblems } from '../../core/form/designProblems'
import { designSchema } from '../../core/form/design'
import { writersSchema } from '../../core/intake/writers'
import type { CustomerLanguage } from '../../core/messages/customers/languages'
import { languageName } from '../../core/messages/languageName'
import { say } from '../../core/messages/say/forms'
import { TAG_LIMIT } from '../../core/moderation/reviewAct'
import { SelectLine } from '../show/SelectLine'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { jsonText, readForm } from '../readForm'
import { useDraft } from '../show/useDraft'
import { useUndoKeys } from '../show/useUndoKeys'
import { FormPreview } from './forms/FormPreview'
import { FormSentence } from './forms/FormSentence'
import { FormHeader } from './forms/FormHeader'
import { FormSide } from './forms/FormSide'
import type { FormPart } from './forms/formParts'
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
      const copy = await elogio.copyForm(shop, form, say('forms.copyName', { name: name }))
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
  const { name } = view
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <title>{`${name} · ${say('gather.title')} · Elogio`}</title>
      <div className="border-b border-line bg-paper px-4 pt-1.5 pb-2 lg:px-6">
        <FormHeader
          {...{ view, submit, name, undo, redo, saving, problem }}
          shop={params.shop}
          isReady={problems.length === 0}
        />
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
          <FormSide
            {...{ view, at, part, setPart, language, draft, change, choose }}
            shopColour={view.shopColour}
          />
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

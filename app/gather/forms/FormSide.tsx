import { ArrowLeft } from 'lucide-react'
import { lazy, Suspense } from 'react'
import { editedIn, withEdited } from '../../../core/form/translation'
import type { CustomerLanguage } from '../../../core/messages/customers/languages'
import { say } from '../../../core/messages/say/forms'
import type { FormView } from '../../../server/collection/forms'
import { isUse, type FormPart, type PartProps } from './formParts'
import { PartList } from './PartList'
import { PartPanel } from './PartPanel'

// It is opened when the form is finished.
const SettingsPanel = lazy(() => import('./SettingsPanel'))
const FormUse = lazy(() => import('./FormUse'))

/** All parts of a form, or the settings of one of them. */
export function FormSide({
  view,
  shopColour,
  at,
  part,
  setPart,
  language,
  draft,
  change,
  choose,
}: Omit<PartProps, 'writers'> & {
  view: FormView
  shopColour: string
  /** The address of the editor. */
  at: string
  part: FormPart | null
  setPart: (part: FormPart | null) => void
  /** The language whose texts are edited; empty for those of all languages. */
  language: CustomerLanguage | ''
  choose: (part: FormPart) => void
}) {
  const { writers } = view.settings
  if (part === null)
    return <PartList {...{ draft, change, choose, writers }} isDraft={view.state === 'draft'} />
  if (part !== 'writers' && part !== 'arrivals' && !isUse(part))
    return (
      <PartPanel
        part={part}
        draft={language ? editedIn(draft, language) : draft}
        change={(changed) => change(language ? withEdited(draft, language, changed) : changed)}
        key={language}
        {...{ shopColour, writers }}
        products={view.products}
        leave={() => setPart(null)}
      />
    )
  return (
    <div className="flex flex-col gap-3">
      <button
        type="button"
        className="inline-flex min-h-6 items-center gap-1 self-start text-petrol underline"
        onClick={() => setPart(null)}
      >
        <ArrowLeft className="size-4" aria-hidden="true" />
        {say('forms.allParts')}
      </button>
      <Suspense>
        {isUse(part) ? <FormUse {...{ part, view, at }} /> : <SettingsPanel {...{ part, view }} />}
      </Suspense>
    </div>
  )
}

import { ArrowLeft } from 'lucide-react'
import { lazy, Suspense } from 'react'
import { say } from '../../../core/messages/say/forms'
import { FieldSettings } from './FieldSettings'
import { isField, type FormPart, type PanelProps } from './formParts'
import { QuestionPanel } from './QuestionPanel'

// Comes when it is used, so that the editor opens sooner.
const PageSettings = lazy(() => import('./PageSettings'))

/** The settings of one part of a form. */
export function PartPanel({ leave, ...panel }: PanelProps & { leave: () => void }) {
  const { part, draft, change } = panel
  const isQuestion = part.startsWith('question:')
  return (
    <div className="flex flex-col gap-3">
      <button
        type="button"
        className="inline-flex min-h-6 items-center gap-1 self-start text-petrol underline"
        onClick={leave}
      >
        <ArrowLeft className="size-4" aria-hidden="true" />
        {say('forms.allParts')}
      </button>
      {isQuestion ? (
        <QuestionPanel key={part} id={part.slice('question:'.length)} {...{ draft, change, leave }} />
      ) : (
        <>
          <h2>{say(`forms.part.${part as Exclude<FormPart, `question:${string}`>}`)}</h2>
          {isField(part) ? (
            <FieldSettings {...panel} part={part} />
          ) : (
            <Suspense fallback={<p className="min-h-32" />}>
              <PageSettings {...panel} />
            </Suspense>
          )}
        </>
      )}
    </div>
  )
}

import { Plus } from 'lucide-react'
import { lazy, Suspense } from 'react'
import { MOST_QUESTIONS } from '../../../core/form/choices'
import { designFor } from '../../../core/form/neededFields'
import { designProblems } from '../../../core/form/designProblems'
import type { Question } from '../../../core/form/design'
import { say } from '../../../core/messages/say/forms'
import { formParts, formUses, isShown, otherParts, type FormPart, type PartProps } from './formParts'
import { PartRow } from './PartRow'

const QuestionList = lazy(() => import('./QuestionList'))

/** All parts of a form, each opening its settings, and the shop's own questions. */
export function PartList({
  draft,
  change,
  choose,
  writers,
  isDraft,
}: PartProps & {
  choose: (part: FormPart) => void
  /** Whether customers have never seen it. */
  isDraft: boolean
}) {
  const row = (part: FormPart, words: string, state = '') => (
    <PartRow key={part} words={words} state={state} choose={() => choose(part)} />
  )
  const design = designFor(draft, writers)
  const unready = new Set(designProblems(draft).map(({ question }) => question))
  const questions = draft.questions.map(({ id, label, kind }) => ({
    id,
    name: label.trim() || say('forms.untitled'),
    state: unready.has(id) ? '!' : say(`forms.kinds.${kind}`),
  }))
  const add = () => {
    const question: Question = {
      id: crypto.randomUUID().replaceAll('-', '').slice(0, 12),
      ...{ kind: 'short', label: '', hint: '', options: [], steps: 5, low: '', high: '' },
      ...{ required: false, public: false },
    }
    change({ ...draft, questions: [...draft.questions, question] })
    choose(`question:${question.id}`)
  }
  return (
    <>
      <p className="flex flex-wrap gap-x-4 pb-4">
        {(isDraft ? (['try'] as const) : formUses).map((use) => (
          <button key={use} type="button" className="part min-h-6" onClick={() => choose(use)}>
            {say(`forms.part.${use}`)}
          </button>
        ))}
      </p>
      <h2>{say('forms.parts')}</h2>
      <ul className="-mx-2 mt-1">
        {formParts.map((part) =>
          row(part, say(`forms.part.${part}`), isShown(design, part) === false ? say('forms.none') : ''),
        )}
      </ul>
      <h2 className="mt-4">{say('forms.questions')}</h2>
      {/* The rows by themselves, until they can be moved. */}
      <Suspense
        fallback={
          <ul className="-mx-2 mt-1 pl-6">
            {questions.map(({ id, name, state }) => row(`question:${id}`, name, state))}
          </ul>
        }
      >
        <QuestionList
          questions={draft.questions}
          rows={questions}
          order={(questions) => change({ ...draft, questions })}
          choose={(id) => choose(`question:${id}`)}
        />
      </Suspense>
      {draft.questions.length < MOST_QUESTIONS && (
        <button type="button" className="btn btn-quiet btn-low mt-1" onClick={add}>
          <Plus className="size-4" aria-hidden="true" />
          {say('forms.addQuestion')}
        </button>
      )}
      <ul className="-mx-2 mt-4 border-t border-line pt-2">
        {otherParts.map((part) => row(part, say(`forms.part.${part}`)))}
      </ul>
    </>
  )
}

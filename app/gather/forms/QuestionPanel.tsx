import {
  FORM_LABEL_LIMIT,
  hasOptions,
  MOST_OPTIONS,
  OPTION_LIMIT,
  QUESTION_LIMIT,
  questionKinds,
  WIDEST_SCALE,
} from '../../../core/form/choices'
import type { Question } from '../../../core/form/design'
import { say } from '../../../core/messages/say/forms'
import { SelectLine } from '../../show/SelectLine'
import { Slider } from '../../show/Slider'
import { SwitchLine } from '../../show/SwitchLine'
import type { PartProps } from './formParts'
import { TextLine } from './TextLine'

/** One of the shop's own questions. */
export function QuestionPanel({
  id,
  draft,
  change,
  leave,
}: Pick<PartProps, 'draft' | 'change'> & { id: string; leave: () => void }) {
  const at = draft.questions.findIndex((one) => one.id === id)
  const question = draft.questions[at]
  if (!question) return null
  const put = (questions: Question[]) => change({ ...draft, questions })
  const set = (part: Partial<Question>) =>
    put(draft.questions.map((one) => (one.id === id ? { ...one, ...part } : one)))
  const move = (to: number) => put(draft.questions.toSpliced(at, 1).toSpliced(to, 0, question))
  return (
    <>
      <h2>{say('forms.question')}</h2>
      <TextLine
        label={say('forms.wording')}
        value={question.label}
        limit={QUESTION_LIMIT}
        set={(label) => set({ label })}
      />
      <SelectLine
        label={say('forms.kind')}
        value={question.kind}
        choices={questionKinds.map((kind) => [kind, say(`forms.kinds.${kind}`)])}
        choose={(kind) => set({ kind })}
      />
      {hasOptions(question.kind) && (
        <TextLine
          label={say('forms.options')}
          value={question.options.join('\n')}
          limit={MOST_OPTIONS * OPTION_LIMIT}
          rows={4}
          set={(text) =>
            set({
              options: text
                .split('\n')
                .slice(0, MOST_OPTIONS)
                .map((option) => option.slice(0, OPTION_LIMIT)),
            })
          }
        />
      )}
      {question.kind === 'scale' && (
        <>
          <Slider
            label={say('forms.steps')}
            value={question.steps}
            words={String(question.steps)}
            min={2}
            max={WIDEST_SCALE}
            set={(steps) => set({ steps })}
          />
          <TextLine
            label={say('forms.low')}
            value={question.low}
            limit={FORM_LABEL_LIMIT}
            set={(low) => set({ low })}
          />
          <TextLine
            label={say('forms.high')}
            value={question.high}
            limit={FORM_LABEL_LIMIT}
            set={(high) => set({ high })}
          />
        </>
      )}
      <TextLine
        label={say('forms.hint')}
        value={question.hint}
        limit={QUESTION_LIMIT}
        set={(hint) => set({ hint })}
      />
      <SwitchLine
        words={say('forms.required')}
        on={question.required}
        set={(required) => set({ required })}
      />
      <SelectLine
        label={say('forms.who')}
        value={question.public ? 'visitors' : 'shopOnly'}
        choices={(['visitors', 'shopOnly'] as const).map((who) => [who, say(`forms.${who}`)])}
        choose={(who) => set({ public: who === 'visitors' })}
      />
      <p className="text-[13px] text-soft">{say('forms.shopOnlyHint')}</p>
      <div className="flex flex-wrap gap-2 border-t border-line pt-3">
        <button
          type="button"
          className="btn btn-quiet btn-low"
          disabled={at === 0}
          onClick={() => move(at - 1)}
        >
          {say('forms.up')}
        </button>
        <button
          type="button"
          className="btn btn-quiet btn-low"
          disabled={at === draft.questions.length - 1}
          onClick={() => move(at + 1)}
        >
          {say('forms.down')}
        </button>
        <button
          type="button"
          className="btn btn-quiet btn-low"
          onClick={() => {
            put(draft.questions.filter((one) => one.id !== id))
            leave()
          }}
        >
          {say('forms.delete')}
        </button>
        <span className="basis-full text-[13px] text-soft">{say('forms.deleteHint')}</span>
      </div>
    </>
  )
}

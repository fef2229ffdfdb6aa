import { getInputProps, getSelectProps, getTextareaProps, type FieldMetadata } from '@conform-to/react'
import type { ShownQuestion } from '../../core/form/translation'
import { Labelled, Mistakes } from './Labelled'
import { useTranslate } from './speech'

/** Up to so many options stand beside each other; more are a list to choose from. */
const MOST_SEEN = 6

/** One of the shop's own questions. It works without scripts. */
export function QuestionField({
  question,
  field,
  shop,
}: {
  question: ShownQuestion
  field: FieldMetadata<string>
  /** The shop's short name. */
  shop: string
}) {
  const translate = useTranslate()
  const { id, kind, label, hint, options, steps, low, high, required } = question
  const asked = { field, label, part: `question:${id}`, light: !required }
  const read = translate(question.public ? 'form.answerShown' : 'form.answerHidden', { shop })
  const note = [hint, !required && translate('form.optional'), read].filter(Boolean).join(', ')
  const described = note ? { ariaDescribedBy: field.descriptionId } : {}
  const wide = 'w-full border-edge text-[15px]'
  switch (kind) {
    case 'short':
    case 'date':
      return (
        <Labelled {...asked} hint={note}>
          <input
            {...getInputProps(field, { type: kind === 'date' ? 'date' : 'text', ...described })}
            key={field.key}
            className={`input ${wide} ${kind === 'date' ? 'max-w-52' : ''}`}
          />
        </Labelled>
      )
    case 'long':
      return (
        <Labelled {...asked} hint={note}>
          <textarea
            {...getTextareaProps(field, described)}
            key={field.key}
            rows={2}
            className={`textarea field-sizing-content max-h-80 min-h-16 leading-snug ${wide}`}
          />
        </Labelled>
      )
    case 'one':
      return options.length > MOST_SEEN ? (
        <Labelled {...asked} hint={note}>
          <select {...getSelectProps(field, described)} key={field.key} className={`select ${wide}`}>
            <option value="">–</option>
            {options.map((option) => (
              <option key={option} value={option}>
                {question.words?.[option] ?? option}
              </option>
            ))}
          </select>
        </Labelled>
      ) : (
        <Choices question={question} note={note} field={field} type="radio" options={options} />
      )
    case 'several':
      return <Choices question={question} note={note} field={field} type="checkbox" options={options} />
    case 'scale':
      return (
        <Choices
          question={question}
          note={note}
          field={field}
          type="radio"
          options={Array.from({ length: steps }, (_, i) => String(i + 1))}
          ends={[low, high]}
        />
      )
  }
}

function Choices({
  question: { id, label, required, words },
  note,
  field,
  type,
  options,
  ends,
}: {
  question: ShownQuestion
  note: string
  field: FieldMetadata<string>
  type: 'radio' | 'checkbox'
  options: string[]
  /** The words at both ends of a scale. */
  ends?: [low: string, high: string]
}) {
  const chosen: unknown[] = [field.initialValue ?? []].flat()
  return (
    <fieldset
      id={field.id}
      className="min-w-0"
      data-part={`question:${id}`}
      aria-describedby={field.errors ? field.errorId : undefined}
      aria-invalid={field.errors && type === 'radio' ? true : undefined}
    >
      <legend className={required ? 'font-semibold' : ''}>
        {label} {note && <span className="text-[12.5px] font-normal text-soft">{note}</span>}
      </legend>
      <div className="mt-1.5 flex flex-wrap items-center gap-x-2 gap-y-2">
        {ends?.[0] && <span className="text-[13px] text-soft">{ends[0]}</span>}
        {options.map((option) => (
          <label
            key={option}
            className={`flex min-h-10 cursor-pointer items-center gap-2 rounded-lg border border-edge px-3 text-[15px] has-checked:border-(--shop-edge) has-checked:font-semibold has-focus-visible:outline-2 has-focus-visible:outline-offset-2 ${ends ? 'min-w-10 justify-center' : ''}`}
          >
            <input
              type={type}
              name={field.name}
              value={option}
              defaultChecked={chosen.includes(option)}
              className={
                ends
                  ? 'sr-only'
                  : type === 'radio'
                    ? 'radio radio-sm border-edge'
                    : 'checkbox checkbox-sm border-edge'
              }
            />
            {words?.[option] ?? option}
          </label>
        ))}
        {ends?.[1] && <span className="text-[13px] text-soft">{ends[1]}</span>}
      </div>
      <Mistakes field={field} />
    </fieldset>
  )
}

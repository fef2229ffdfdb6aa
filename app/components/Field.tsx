import { useId, type ReactNode } from 'react'
import { translateCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/customers'

/** What joins an input with its label, its hint and its errors. */
interface InputAttributes {
  id: string
  'aria-describedby'?: string
  'aria-invalid'?: true
}

/** A labelled field with its hint and errors. The input has to carry the given attributes. */
export function Field({
  name,
  label,
  hint,
  errors,
  children,
}: {
  name: string
  label: string
  hint?: string
  errors?: string[]
  children: (attributes: InputAttributes) => ReactNode
}) {
  const id = useId()
  const [hintId, errorId] = [hint && `${id}-hint`, errors && `${id}-error`]
  const described = [errorId, hintId].filter(Boolean).join(' ')
  return (
    <div className="flex min-w-0 flex-col gap-1" data-field={name}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <label htmlFor={id} className="font-semibold">
          {label}
        </label>
        {hint && (
          <span id={hintId} className="text-[12.5px] text-soft">
            {hint}
          </span>
        )}
      </div>
      {children({
        id,
        ...(described && { 'aria-describedby': described }),
        ...(errors && { 'aria-invalid': true }),
      })}
      <Mistake id={errorId} errors={errors} />
    </div>
  )
}

export function Mistake({ id, errors }: { id?: string; errors?: string[] }) {
  if (!errors) return null
  return (
    <p id={id} role="alert" className="font-semibold text-plum">
      {errors.map((code) => translateCode(say, code)).join(' ')}
    </p>
  )
}

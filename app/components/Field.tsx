import { useId, type ReactNode } from 'react'
import { translateCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/customers'

/** A labelled field with its hint and errors. The input has to use the given id. */
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
  children: (id: string) => ReactNode
}) {
  const id = useId()
  return (
    <div className="flex min-w-0 flex-col gap-1" data-field={name}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <label htmlFor={id} className="font-semibold">
          {label}
        </label>
        {hint && <span className="text-[12.5px] text-soft">{hint}</span>}
      </div>
      {children(id)}
      <Mistake errors={errors} />
    </div>
  )
}

export function Mistake({ errors }: { errors?: string[] }) {
  if (!errors) return null
  return (
    <p role="alert" className="font-semibold text-plum">
      {errors.map((code) => translateCode(say, code)).join(' ')}
    </p>
  )
}

import type { ReactNode } from 'react'
import { useCodes } from './speech'

interface FieldErrors {
  errorId: string
  errors?: string[]
}

interface FieldOfForm extends FieldErrors {
  id: string
  descriptionId: string
}

/** A labelled field with its hint and errors. The input names the hint by the field's `descriptionId`. */
export function Labelled({
  field,
  label,
  hint,
  light = false,
  part,
  children,
}: {
  field: FieldOfForm
  label: string
  hint?: ReactNode
  light?: boolean
  /** The part of the form's design that it shows. */
  part?: string
  children: ReactNode
}) {
  return (
    <div className="flex min-w-0 flex-col gap-1" data-part={part}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <label htmlFor={field.id} className={light ? '' : 'font-semibold'}>
          {label}
        </label>
        {hint && (
          <span id={field.descriptionId} className="min-w-0 text-[12.5px] [overflow-wrap:anywhere] text-soft">
            {hint}
          </span>
        )}
      </div>
      {children}
      <Mistakes field={field} />
    </div>
  )
}

export function Mistakes({ field }: { field: FieldErrors }) {
  const wordCode = useCodes()
  if (!field.errors) return null
  return (
    <p id={field.errorId} className="font-semibold text-plum">
      {field.errors.map(wordCode).join(' ')}
    </p>
  )
}

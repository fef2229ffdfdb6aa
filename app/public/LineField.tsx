import { getInputProps, type FieldMetadata } from '@conform-to/react'
import { Labelled } from './Labelled'

/** A labelled line of text. */
export function LineField({
  field,
  type = 'text',
  autoComplete,
  hint,
  ...more
}: {
  field: FieldMetadata<string | undefined>
  type?: 'text' | 'email'
  autoComplete: string
  label: string
  hint?: string
  light?: boolean
  part?: string
}) {
  return (
    <Labelled field={field} hint={hint} {...more}>
      <input
        {...getInputProps(field, { type, ariaDescribedBy: hint ? field.descriptionId : undefined })}
        key={field.key}
        autoComplete={autoComplete}
        className="input w-full border-edge text-[15px]"
      />
    </Labelled>
  )
}

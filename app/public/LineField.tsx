import { getInputProps, type FieldMetadata } from '@conform-to/react'
import { useState } from 'react'
import { Labelled } from './Labelled'

/**
 * A labelled line of text. One that the form leaves out appears, and stays, once its answer is missed: a product that is
 * chosen can ask for more than the form.
 */
export function LineField({
  field,
  type = 'text',
  autoComplete,
  hint,
  shown = true,
  ...more
}: {
  field: FieldMetadata<string | undefined>
  type?: 'text' | 'email'
  autoComplete: string
  label: string
  hint?: string
  shown?: boolean
  light?: boolean
  part?: string
}) {
  const [missed, setMissed] = useState(false)
  if (field.errors && !missed) setMissed(true)
  if (!shown && !missed && !field.errors) return null
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

import { getInputProps, type FieldMetadata } from '@conform-to/react'
import { useState } from 'react'
import { Labelled } from './Labelled'
import { useTranslate } from './speech'

/**
 * A labelled line of text. A product that is chosen can ask for more than the form: a line that is missed appears, and
 * stays required.
 */
export function LineField({
  field,
  type = 'text',
  autoComplete,
  hint,
  shown = true,
  required = true,
  ...more
}: {
  field: FieldMetadata<string | undefined>
  type?: 'text' | 'email'
  autoComplete: string
  label: string
  hint?: string
  shown?: boolean
  required?: boolean
  part?: string
}) {
  const translate = useTranslate()
  const [missed, setMissed] = useState(false)
  const isMissing = field.errors !== undefined && !field.value
  if (isMissing && !missed) setMissed(true)
  if (!shown && !missed && !isMissing) return null
  const isOptional = !required && !missed && !isMissing
  const hints = [isOptional && translate('form.optional'), hint].filter(Boolean).join(', ')
  return (
    <Labelled field={field} hint={hints} light={isOptional} {...more}>
      <input
        {...getInputProps(field, { type, ariaDescribedBy: hints ? field.descriptionId : undefined })}
        key={field.key}
        autoComplete={autoComplete}
        className="input w-full border-edge text-[15px]"
      />
    </Labelled>
  )
}

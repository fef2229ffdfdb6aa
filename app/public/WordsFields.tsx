import { getInputProps, getTextareaProps, type FieldMetadata } from '@conform-to/react'
import type { FormDesign } from '../../core/form/design'
import { BODY_LIMIT } from '../../core/intake/limits'
import { useTranslate } from './speech'
import { Counter } from './Counter'
import { Labelled } from './Labelled'

type TextField = FieldMetadata<string | undefined>

/** Headline and text, for the form and for later changes, which have no design. */
export function WordsFields({
  title,
  body,
  design,
  labels,
}: {
  title: TextField
  body: TextField
  design?: Pick<FormDesign, 'title' | 'body'>
  labels?: { title: string; body: string }
}) {
  const translate = useTranslate()
  return (
    <>
      {design?.title.shown !== false && (
        <Labelled
          field={title}
          label={labels?.title ?? translate('form.title')}
          hint={translate('form.optional')}
          light
          part="title"
        >
          <input
            {...getInputProps(title, { type: 'text', ariaDescribedBy: title.descriptionId })}
            key={title.key}
            className="input customer-words w-full border-edge text-[16px]"
          />
        </Labelled>
      )}
      <Labelled
        field={body}
        label={labels?.body ?? translate('form.body')}
        part="body"
        hint={
          <>
            {!design?.body.required && `${translate('form.optional')}, `}
            <Counter used={(body.value ?? '').length} limit={design?.body.most ?? BODY_LIMIT} />
          </>
        }
      >
        <textarea
          {...getTextareaProps(body, { ariaDescribedBy: body.descriptionId })}
          key={body.key}
          rows={3}
          className="textarea customer-words field-sizing-content max-h-96 min-h-20 w-full border-edge text-[17px] leading-snug"
        />
      </Labelled>
    </>
  )
}

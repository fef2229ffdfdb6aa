import { getInputProps, getTextareaProps, type FieldMetadata } from '@conform-to/react'
import { BODY_LIMIT } from '../../core/intake/submission'
import { useTranslate } from './speech'
import { Counter } from './Counter'
import { Labelled } from './Labelled'

type TextField = FieldMetadata<string | undefined>

/** Headline and text, for the form and for later changes. */
export function WordsFields({ title, body }: { title: TextField; body: TextField }) {
  const translate = useTranslate()
  return (
    <>
      <Labelled field={title} label={translate('form.title')} hint={translate('form.optional')} light>
        <input
          {...getInputProps(title, { type: 'text' })}
          key={title.key}
          className="input customer-words w-full border-edge text-[16px]"
        />
      </Labelled>
      <Labelled
        field={body}
        label={translate('form.words')}
        hint={
          <>
            {translate('form.optional')}, <Counter used={(body.value ?? '').length} limit={BODY_LIMIT} />
          </>
        }
      >
        <textarea
          {...getTextareaProps(body)}
          key={body.key}
          rows={3}
          className="textarea customer-words field-sizing-content max-h-96 min-h-20 w-full border-edge text-[17px] leading-snug"
        />
      </Labelled>
    </>
  )
}

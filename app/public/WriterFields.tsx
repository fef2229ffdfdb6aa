import type { FieldMetadata } from '@conform-to/react'
import { publicName } from '../../core/display/publicName'
import type { WordedField } from '../../core/form/fields'
import type { ShownDesign } from '../../core/form/translation'
import { askedTexts, writerTexts, type AskedText } from '../../core/intake/writerTexts'
import { LineField } from './LineField'
import { useTranslate } from './speech'

type Field = FieldMetadata<string | undefined>

/** What a customer says of herself. */
export function WriterFields({
  fields,
  design,
  labels,
}: {
  fields: Record<'author_name' | 'author_email' | AskedText, Field>
  design: ShownDesign
  labels: Record<WordedField, string>
}) {
  const translate = useTranslate()
  const { name, email } = design
  const shownName = publicName(fields.author_name.value ?? '')
  return (
    <div className="grid gap-4 sm:grid-cols-2 sm:gap-5">
      <LineField
        field={fields.author_name}
        label={labels.name}
        shown={name.shown}
        part="name"
        hint={shownName ? translate('form.shownAs', { name: shownName }) : translate('form.shownAsHint')}
        required={name.required}
        autoComplete="name"
      />
      {askedTexts
        .filter((text) => design[text].shown)
        .map((text) => (
          <LineField
            key={text}
            field={fields[text]}
            label={labels[text]}
            part={text}
            hint={translate('form.answerShown')}
            required={design[text].required}
            autoComplete={writerTexts[text].autoComplete}
          />
        ))}
      <LineField
        field={fields.author_email}
        type="email"
        label={labels.email}
        shown={email.shown}
        part="email"
        hint={translate('form.neverShown')}
        required={email.required}
        autoComplete="email"
      />
      {!email.required && (
        <p className="text-[13px] text-soft sm:col-span-2" data-part="email">
          {translate(email.shown ? 'form.withoutEmail' : 'form.noEmailAsked')}
        </p>
      )}
    </div>
  )
}

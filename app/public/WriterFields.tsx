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
  const shownName = publicName(fields.author_name.value ?? '')
  return (
    <div className="grid gap-4 sm:grid-cols-2 sm:gap-5">
      <LineField
        field={fields.author_name}
        label={labels.name}
        part="name"
        hint={shownName ? translate('form.shownAs', { name: shownName }) : translate('form.shownAsHint')}
        autoComplete="name"
      />
      {askedTexts
        .filter((name) => design[name].shown)
        .map((name) => (
          <LineField
            key={name}
            field={fields[name]}
            label={labels[name]}
            part={name}
            hint={[!design[name].required && translate('form.optional'), translate('form.answerShown')]
              .filter(Boolean)
              .join(', ')}
            light={!design[name].required}
            autoComplete={writerTexts[name].autoComplete}
          />
        ))}
      <LineField
        field={fields.author_email}
        type="email"
        label={labels.email}
        part="email"
        hint={translate('form.neverShown')}
        autoComplete="email"
      />
    </div>
  )
}

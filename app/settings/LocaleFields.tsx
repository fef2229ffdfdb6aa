import { languageName } from '../../core/messages/languageName'
import { say } from '../../core/messages/say/setUp'
import { Field, Mistake } from '../components/Field'
import { LanguageBoxes } from './LanguageBoxes'
import type { ProfileErrors, ProfileValues } from './ProfileFields'

/** Languages of shops; the value of a shop that has another one is added. */
const locales = [
  'en-GB',
  'en-US',
  'en-AU',
  'en-CA',
  'en-IE',
  'en-NZ',
  'en-ZA',
  'en',
  'de',
  'de-AT',
  'de-CH',
  'fr',
  'fr-BE',
  'fr-CA',
  'fr-CH',
  'es',
  'es-MX',
  'it',
  'it-CH',
  'nl',
  'nl-BE',
  'pt',
  'pt-BR',
  'pl',
  'sv',
  'da',
  'nb',
  'fi',
  'cs',
  'sk',
  'hu',
  'ro',
  'el',
  'tr',
  'ja',
]
const readable = [
  'en',
  'de',
  'fr',
  'es',
  'it',
  'nl',
  'pt',
  'pl',
  'sv',
  'da',
  'nb',
  'fi',
  'cs',
  'el',
  'tr',
  'ja',
]

interface Given {
  values: ProfileValues
  change: (values: ProfileValues) => void
  errors: ProfileErrors
}

/** A list of values; one that is not in the list is added. */
function ListField({
  name,
  label,
  hint,
  choices,
  wordsOf,
  values,
  change,
  errors,
}: Given & {
  name: 'locale' | 'time_zone'
  label: string
  hint?: string
  choices: string[]
  wordsOf: (choice: string) => string
}) {
  const value = values[name]
  return (
    <Field name={name} label={label} hint={hint} errors={errors[name]}>
      {(attributes) => (
        <select
          {...attributes}
          name={name}
          value={value}
          className="select w-full border-edge text-[15px]"
          onChange={(event) => change({ ...values, [name]: event.currentTarget.value })}
        >
          {(choices.includes(value) ? choices : [value, ...choices]).map((choice) => (
            <option key={choice} value={choice}>
              {wordsOf(choice)}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}

export function LocaleFields(given: Given & { timeZones: string[] }) {
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <ListField
        {...given}
        name="locale"
        label={say('setUp.locale')}
        choices={locales}
        wordsOf={languageName}
      />
      <ListField
        {...given}
        name="time_zone"
        label={say('setUp.timeZone')}
        hint={say('setUp.onlyYou')}
        choices={given.timeZones}
        wordsOf={(zone) => zone.replaceAll('_', ' ')}
      />
    </div>
  )
}

/** The languages that members read, separated by commas in `chosen`. */
export function ReadLanguages({ chosen, errors }: { chosen: string; errors: ProfileErrors }) {
  const known = chosen.split(/[\s,]+/).filter(Boolean)
  const choices = [...readable, ...known.filter((tag) => !readable.includes(tag))]
  return (
    <fieldset className="min-w-0">
      <legend className="font-semibold">{say('setUp.languages')}</legend>
      <p className="text-[12.5px] text-soft">{say('setUp.languagesHint')}</p>
      {/* The field is sent even if no language is selected. */}
      <input type="hidden" name="languages" value="" />
      <LanguageBoxes name="languages" choices={choices} chosen={known} />
      <Mistake errors={errors.languages} />
    </fieldset>
  )
}

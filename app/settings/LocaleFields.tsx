import { languageName } from '../../core/messages/languageName'
import { say } from '../../core/messages/say/setUp'
import { Field, Mistake } from '../components/Field'
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

export function LocaleField({ values, change, errors }: Given) {
  const choices = locales.includes(values.locale) ? locales : [values.locale, ...locales]
  return (
    <Field name="locale" label={say('setUp.locale')} errors={errors.locale}>
      {(id) => (
        <select
          id={id}
          name="locale"
          value={values.locale}
          className="select w-full border-edge text-[15px]"
          onChange={(event) => change({ ...values, locale: event.currentTarget.value })}
        >
          {choices.map((locale) => (
            <option key={locale} value={locale}>
              {languageName(locale)}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}

export function TimeZoneField({ values, change, errors, timeZones }: Given & { timeZones: string[] }) {
  const choices = timeZones.includes(values.time_zone) ? timeZones : [values.time_zone, ...timeZones]
  return (
    <Field
      name="time_zone"
      label={say('setUp.timeZone')}
      hint={say('setUp.onlyYou')}
      errors={errors.time_zone}
    >
      {(id) => (
        <select
          id={id}
          name="time_zone"
          value={values.time_zone}
          className="select w-full border-edge text-[15px]"
          onChange={(event) => change({ ...values, time_zone: event.currentTarget.value })}
        >
          {choices.map((zone) => (
            <option key={zone} value={zone}>
              {zone.replaceAll('_', ' ')}
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
      <LocaleField {...given} />
      <TimeZoneField {...given} />
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
      {/* Without a box ticked the field is sent all the same. */}
      <input type="hidden" name="languages" value="" />
      <div className="mt-1.5 flex flex-wrap gap-x-5 gap-y-1">
        {choices.map((tag) => (
          <label key={tag} className="flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              name="languages"
              value={tag}
              defaultChecked={known.includes(tag)}
              className="checkbox checkbox-sm rounded-[5px] border-edge"
            />
            {languageName(tag)}
          </label>
        ))}
      </div>
      <Mistake errors={errors.languages} />
    </fieldset>
  )
}

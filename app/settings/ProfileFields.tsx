import { wcagContrast } from 'culori'
import { say } from '../../core/messages/say/setUp'
import { Field } from '../components/Field'
import { PictureField } from '../components/PictureField'

/** A shop's profile as its inputs contain it. */
export type ProfileValues = Record<
  | 'name'
  | 'short_name'
  | 'description'
  | 'site_url'
  | 'picture'
  | 'brand'
  | 'background'
  | 'textColour'
  | 'fonts'
  | 'corners'
  | 'locale'
  | 'languages'
  | 'own_domains'
  | 'reply_name'
  | 'time_zone',
  string
>
export type ProfileErrors = Partial<Record<string, string[]>>

interface Given {
  values: ProfileValues
  change: (values: ProfileValues) => void
  errors: ProfileErrors
}

/** The name and logo that customers see. */
export function NameFields(given: Given) {
  const { values, change } = given
  const field = fieldsOf(given)
  return (
    <div className="flex flex-col gap-4">
      {field('name', say('setUp.name'), say('setUp.customersSee'))}
      {field('description', say('setUp.description'), say('setUp.onlyYou'))}
      <PictureField
        name="picture"
        label={say('setUp.picture')}
        hint={say('setUp.customersSee')}
        value={values.picture}
        change={(picture) => change({ ...values, picture })}
      />
    </div>
  )
}

export function ColourFields({ values, change, errors, candidates }: Given & { candidates: string[] }) {
  return (
    <div className="flex flex-col gap-3">
      <div className="grid gap-4 sm:grid-cols-3">
        {(['brand', 'background', 'textColour'] as const).map((name) => (
          <ColourField
            key={name}
            name={name}
            label={say(`setUp.${name}`)}
            value={values[name]}
            errors={errors[name]}
            change={(typed) => change({ ...values, [name]: typed })}
          />
        ))}
      </div>
      <Contrast background={values.background} textColour={values.textColour} />
      {candidates.length > 1 && (
        <div className="flex flex-wrap items-center gap-2" role="group" aria-label={say('setUp.alsoFound')}>
          <span className="text-[13px] text-soft">{say('setUp.alsoFound')}</span>
          {candidates.map((colour) => (
            <button
              key={colour}
              type="button"
              aria-label={`${say('setUp.brand')} ${colour}`}
              aria-pressed={values.brand === colour}
              className="size-8 rounded-lg border border-edge aria-pressed:outline-2 aria-pressed:outline-offset-2 aria-pressed:outline-petrol"
              style={{ background: colour }}
              onClick={() => change({ ...values, brand: colour })}
            />
          ))}
        </div>
      )}
    </div>
  )
}

export function FontFields(given: Given) {
  const field = fieldsOf(given)
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      {field('fonts', say('setUp.fonts'), say('setUp.fontsHint'), say('setUp.pageType'))}
      {field('corners', say('setUp.corners'), say('setUp.cornersHint'))}
    </div>
  )
}

/** How the shop is called in sentences, where its site is, and its own domains. */
export function SiteFields(given: Given) {
  const field = fieldsOf(given)
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      {field('short_name', say('setUp.shortName'), say('setUp.shortNameHint'))}
      {field('reply_name', say('setUp.replyName'), say('setUp.customersSee'))}
      {field('site_url', say('setUp.siteUrl'), say('setUp.onlyYou'), 'https://')}
      {field('own_domains', say('setUp.ownDomains'), say('setUp.ownDomainsHint'))}
    </div>
  )
}

function fieldsOf({ values, change, errors }: Given) {
  return (name: keyof ProfileValues, label: string, hint: string, placeholder?: string) => (
    <Field name={name} label={label} hint={hint} errors={errors[name]}>
      {(attributes) => (
        <input
          {...attributes}
          name={name}
          value={values[name]}
          placeholder={placeholder}
          autoComplete="off"
          className="input w-full border-edge text-[15px]"
          onChange={(event) => change({ ...values, [name]: event.currentTarget.value })}
        />
      )}
    </Field>
  )
}

function ColourField({
  name,
  label,
  value,
  errors,
  change,
}: {
  name: string
  label: string
  value: string
  errors?: string[]
  change: (typed: string) => void
}) {
  return (
    <Field name={name} label={label} errors={errors}>
      {(attributes) => (
        <span className="flex items-center gap-2">
          <input
            type="color"
            aria-label={label}
            value={/^#[0-9a-f]{6}$/i.test(value) ? value : '#ffffff'}
            className="h-10 w-11 shrink-0 cursor-pointer rounded-lg border border-edge bg-paper p-1"
            onChange={(event) => change(event.currentTarget.value)}
          />
          <input
            {...attributes}
            name={name}
            value={value}
            className="input w-full border-edge text-[15px]"
            onChange={(event) => change(event.currentTarget.value)}
          />
        </span>
      )}
    </Field>
  )
}

const READABLE = 4.5

function Contrast({ background, textColour }: { background: string; textColour: string }) {
  const ratio = contrastOf(background, textColour)
  if (ratio === null || ratio >= READABLE) return null
  return (
    <p role="status" className="font-semibold text-ochre">
      {say('setUp.unreadable', { ratio: ratio.toFixed(1) })}
    </p>
  )
}

function contrastOf(background: string, textColour: string): number | null {
  try {
    return wcagContrast(background, textColour)
  } catch {
    return null
  }
}

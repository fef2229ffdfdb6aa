import { useState, type InputHTMLAttributes } from 'react'
import { writerTextNames, type WriterText } from '../../core/intake/writerTexts'
import { say } from '../../core/messages/say/write'
import { Field, Mistake } from '../components/Field'
import { PictureField } from '../components/PictureField'
import { ProductSelect } from '../components/ProductSelect'
import { Stitches } from '../components/RatingMark'
import { TagInput } from '../components/TagInput'
import type { ProductChoices } from '../../server/collection/productChoices'
import type { EntryValues } from './entryValues'
import { EvidenceField } from './EvidenceField'

type Errors = Record<string, string[] | undefined>

/** The fields of a review that the shop adds or corrects. */
export function EntryFields({
  values,
  products,
  tags,
  today,
  errors,
  locked = false,
  kept = [],
  isUnfolded = false,
  unfold,
}: {
  values: EntryValues
  products: ProductChoices
  /** The tags of the shop. */
  tags: string[]
  today: string
  errors: Errors
  /** The customer confirmed text, rating and permission. */
  locked?: boolean
  /** Files that the review has. */
  kept?: { publicId: string; name: string; address: string }[]
  /** Whether the rarer fields were opened before. */
  isUnfolded?: boolean
  unfold?: (isUnfolded: boolean) => void
}) {
  const text = 'input w-full border-edge text-[15px]'
  const line = (
    name: WriterText | 'author_name' | 'title' | 'company_url' | 'seen_url' | 'note',
    label: string,
    hint?: string,
    { className = '', ...more }: InputHTMLAttributes<HTMLInputElement> = {},
  ) => (
    <Field key={name} name={name} label={label} hint={hint} errors={errors[name]}>
      {(attributes) => (
        <input
          name={name}
          {...attributes}
          defaultValue={values[name]}
          className={`${text} ${className}`}
          {...more}
        />
      )}
    </Field>
  )
  return (
    <div className="flex max-w-form flex-col gap-4">
      {!locked && (
        <>
          <Rating given={values.rating} errors={errors.rating} />
          <Field name="body" label={say('write.words')} hint={say('write.customersSee')} errors={errors.body}>
            {(attributes) => (
              <textarea
                name="body"
                {...attributes}
                rows={4}
                defaultValue={values.body}
                className="textarea customer-words field-sizing-content max-h-80 min-h-24 w-full border-edge text-[17px] leading-snug"
                onKeyDown={(event) => {
                  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey))
                    event.currentTarget.form?.requestSubmit()
                }}
              />
            )}
          </Field>
        </>
      )}
      <div className="grid gap-4 sm:grid-cols-2">
        {line('author_name', say('write.name'), say('form.shownAsHint'), { autoComplete: 'off' })}
        <Field name="written_at" label={say('write.date')} errors={errors.written_at}>
          {(attributes) => (
            <input
              name="written_at"
              {...attributes}
              type="date"
              max={today}
              defaultValue={values.written_at}
              className={text}
            />
          )}
        </Field>
        <Field name="product" label={say('write.product')} errors={errors.product}>
          {(attributes) => (
            <ProductSelect
              name="product"
              {...attributes}
              choices={products}
              value={values.product}
              none={say('form.productNone')}
              className="w-full text-[15px]"
            />
          )}
        </Field>
        {line('relationship', say('write.relationship'), say('write.customersSee'))}
      </div>
      <details
        open={isUnfolded || folded.some((name) => errors[name] || values[name])}
        onToggle={(event) => unfold?.(event.currentTarget.open)}
      >
        <summary className="cursor-pointer font-semibold text-petrol">{say('write.more')}</summary>
        <div className="mt-3 grid gap-4 sm:grid-cols-2">
          {!locked &&
            line('title', say('write.headline'), say('write.customersSee'), { className: 'customer-words' })}
          {foldedTexts.map((name) => line(name, say(`write.${name}`), say('write.customersSee')))}
          {line('company_url', say('write.companyUrl'), undefined, ADDRESS)}
          <div className="flex flex-col gap-2">
            {line('seen_url', say('source.original'), say('write.onlyYou'), ADDRESS)}
            <Checkbox name="seen_public" label={say('write.seenPublic')} given={values.seen_public} />
          </div>
          {line('note', say('write.note'), say('write.onlyYou'))}
          <Picture name="portrait" label={say('write.portrait')} given={values.portrait} />
          <Picture name="company_logo" label={say('write.companyLogo')} given={values.company_logo} />
          <Field name="tags" label={say('write.tags')} hint={say('write.tagsHint')} errors={errors.tags}>
            {(attributes) => (
              <TagInput name="tags" {...attributes} tags={tags} defaultValue={values.tags} className={text} />
            )}
          </Field>
          <div className="sm:col-span-2">
            <EvidenceField kept={kept} errors={errors.evidence} />
          </div>
        </div>
      </details>
      {!locked && (
        <Checkbox
          name="consent"
          label={say('write.agreed')}
          hint={say('write.agreedHint')}
          given={values.consent}
        />
      )}
    </div>
  )
}

/** The connection to the shop is asked for above the others. */
const foldedTexts = writerTextNames.filter((name) => name !== 'relationship')
const ADDRESS = { inputMode: 'url', placeholder: 'shop.example' } as const

const folded = [
  'title',
  ...foldedTexts,
  'company_url',
  'seen_url',
  'portrait',
  'company_logo',
  'note',
  'tags',
  'evidence',
] as const

function Picture({ name, label, given }: { name: string; label: string; given: string }) {
  const [value, setValue] = useState(given)
  return (
    <PictureField
      name={name}
      label={label}
      hint={say('write.customersSee')}
      value={value}
      change={setValue}
    />
  )
}

function Rating({ given, errors }: { given: string; errors?: string[] }) {
  const choices = ['', '1', '2', '3', '4', '5']
  // A pasted half star is offered beside the whole ones.
  if (given && !choices.includes(given)) choices.push(given)
  return (
    <fieldset>
      <legend className="pb-1 font-semibold">{say('write.rating')}</legend>
      <div className="flex flex-wrap gap-2">
        {choices.map((choice) => (
          <label
            key={choice}
            className="flex min-h-10 min-w-12 cursor-pointer items-center justify-center gap-1.5 rounded-[10px] border border-edge px-3 has-checked:border-petrol has-checked:bg-tint has-checked:font-semibold has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-petrol"
          >
            <input
              type="radio"
              name="rating"
              value={choice}
              defaultChecked={choice === given}
              className="sr-only"
            />
            {choice === '' ? say('write.noRating') : choice}
            {choice !== '' && <Stitches lit={Math.round(Number(choice))} />}
          </label>
        ))}
      </div>
      <Mistake errors={errors} />
    </fieldset>
  )
}

export function Checkbox({
  name,
  label,
  hint,
  given = false,
}: {
  name: string
  label: string
  hint?: string
  given?: boolean
}) {
  return (
    <label className="flex min-h-6 items-start gap-3">
      <input
        type="checkbox"
        name={name}
        defaultChecked={given}
        className="checkbox checkbox-sm mt-0.5 rounded-[5px] border-edge"
      />
      <span>
        {label}
        {hint && <span className="block text-[13px] text-soft">{hint}</span>}
      </span>
    </label>
  )
}

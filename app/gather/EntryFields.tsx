import { useState } from 'react'
import type { ReadReview } from '../../core/intake/text/readText'
import { say } from '../../core/messages/say/gather'
import { Field, Mistake } from '../components/Field'
import { PictureField } from '../components/PictureField'
import { Stitches } from '../components/RatingMark'

type Errors = Record<string, string[] | undefined>

/** A review that the shop adds, prefilled from the pasted text. */
export function EntryFields({
  found,
  products,
  today,
  errors,
  problem,
}: {
  found: ReadReview | null
  products: { sku: string; title: string }[]
  today: string
  errors: Errors
  problem: string | null
}) {
  const rating = found?.rating ? String(found.rating.hundredths / 100) : ''
  const text = 'input w-full border-edge text-[15px]'
  return (
    <div className="flex max-w-[620px] flex-col gap-4">
      <Rating given={rating} errors={errors.rating} />
      <Field name="body" label={say('write.words')} hint={say('write.customersSee')} errors={errors.body}>
        {(id) => (
          <textarea
            name="body"
            id={id}
            rows={4}
            defaultValue={found?.body ?? ''}
            className="textarea customer-words field-sizing-content max-h-80 min-h-24 w-full border-edge text-[17px] leading-snug"
            onKeyDown={(event) => {
              if (event.key === 'Enter' && (event.ctrlKey || event.metaKey))
                event.currentTarget.form?.requestSubmit()
            }}
          />
        )}
      </Field>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          name="author_name"
          label={say('write.name')}
          hint={say('form.shownAsHint')}
          errors={errors.author_name}
        >
          {(id) => (
            <input
              name="author_name"
              id={id}
              defaultValue={found?.authorName ?? ''}
              autoComplete="off"
              className={text}
            />
          )}
        </Field>
        <Field name="written_at" label={say('write.date')} errors={errors.written_at}>
          {(id) => (
            <input
              name="written_at"
              id={id}
              type="date"
              max={today}
              defaultValue={found?.writtenAt?.slice(0, 10) ?? ''}
              className={text}
            />
          )}
        </Field>
        <Field name="product" label={say('write.product')} errors={errors.product}>
          {(id) => (
            <select name="product" id={id} className="select w-full border-edge text-[15px]" defaultValue="">
              <option value="">{say('form.productNone')}</option>
              {products.map(({ sku, title }) => (
                <option key={sku} value={sku}>
                  {title}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field
          name="relationship"
          label={say('write.relationship')}
          hint={say('write.relationshipHint')}
          errors={errors.relationship}
        >
          {(id) => <input name="relationship" id={id} className={text} />}
        </Field>
      </div>
      <details
        open={['role', 'company', 'company_url', 'seen_url', 'note', 'title'].some((name) => errors[name])}
      >
        <summary className="cursor-pointer font-semibold text-petrol">{say('write.more')}</summary>
        <div className="mt-3 grid gap-4 sm:grid-cols-2">
          <Field
            name="title"
            label={say('write.headline')}
            hint={say('write.customersSee')}
            errors={errors.title}
          >
            {(id) => <input name="title" id={id} className={`${text} customer-words`} />}
          </Field>
          <Field name="role" label={say('write.role')} hint={say('write.customersSee')} errors={errors.role}>
            {(id) => <input name="role" id={id} className={text} />}
          </Field>
          <Field
            name="company"
            label={say('write.company')}
            hint={say('write.customersSee')}
            errors={errors.company}
          >
            {(id) => <input name="company" id={id} className={text} />}
          </Field>
          <Field name="company_url" label={say('write.companyUrl')} errors={errors.company_url}>
            {(id) => (
              <input name="company_url" id={id} inputMode="url" placeholder="https://" className={text} />
            )}
          </Field>
          <Field
            name="seen_url"
            label={say('source.original')}
            hint={say('write.onlyYou')}
            errors={errors.seen_url}
          >
            {(id) => (
              <input name="seen_url" id={id} inputMode="url" placeholder="https://" className={text} />
            )}
          </Field>
          <Picture name="portrait" label={say('write.portrait')} />
          <Picture name="company_logo" label={say('write.companyLogo')} />
          <Field name="note" label={say('write.note')} hint={say('write.onlyYou')} errors={errors.note}>
            {(id) => <input name="note" id={id} className={text} />}
          </Field>
        </div>
      </details>
      <Checkbox name="consent" label={say('write.agreed')} hint={say('write.agreedHint')} />
      {problem && (
        <p role="alert" className="font-semibold text-plum">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <button className="btn btn-primary">{say('write.save')}</button>
        <Checkbox name="waiting" label={say('write.waiting')} />
      </div>
    </div>
  )
}

function Picture({ name, label }: { name: string; label: string }) {
  const [value, setValue] = useState('')
  return <PictureField name={name} label={label} value={value} change={setValue} />
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

function Checkbox({ name, label, hint }: { name: string; label: string; hint?: string }) {
  return (
    <label className="flex items-start gap-3">
      <input type="checkbox" name={name} className="checkbox checkbox-sm mt-0.5 rounded-[5px] border-edge" />
      <span>
        {label}
        {hint && <span className="block text-[13px] text-soft">{hint}</span>}
      </span>
    </label>
  )
}

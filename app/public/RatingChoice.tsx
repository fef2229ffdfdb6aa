import type { FieldMetadata } from '@conform-to/react'
import { useRef, type KeyboardEvent } from 'react'
import { useTranslate } from './speech'
import { Mistakes } from './Labelled'

const ratings = [1, 2, 3, 4, 5] as const

/** Five radio buttons of equal size. They work without scripts. */
export function RatingChoice({
  field,
  legend,
  isShown = false,
  required = true,
}: {
  /** By default the catalogue's, for screen readers. */
  legend?: string
  isShown?: boolean
  required?: boolean
  field: Pick<FieldMetadata<string>, 'id' | 'name' | 'errors' | 'errorId' | 'initialValue'>
}) {
  const group = useRef<HTMLFieldSetElement>(null)
  const translate = useTranslate()
  const byDigit = (event: KeyboardEvent) => {
    if (!/^[1-5]$/.test(event.key) || event.ctrlKey || event.metaKey || event.altKey) return
    const input = group.current?.querySelector<HTMLInputElement>(`input[value="${event.key}"]`)
    input?.focus()
    input?.click()
  }
  return (
    <div data-part="rating" className="group">
      <fieldset
        ref={group}
        id={field.id}
        onKeyDown={byDigit}
        aria-describedby={field.errors ? field.errorId : undefined}
        aria-invalid={field.errors ? true : undefined}
      >
        <legend className={isShown || !required ? 'mb-1.5 font-semibold' : 'sr-only'}>
          {legend ?? translate('form.rating')}
          {!required && <span className="font-normal">{` (${translate('form.optional')})`}</span>}
        </legend>
        <div className="grid max-w-[530px] grid-cols-5 items-start gap-2 sm:gap-3">
          {ratings.map((rating) => (
            <label key={rating} className="rating-step flex cursor-pointer flex-col items-center gap-1">
              <input
                type="radio"
                name={field.name}
                value={rating}
                defaultChecked={field.initialValue === String(rating)}
                className="peer sr-only scroll-mt-48"
              />
              <span className="rating-bar flex h-14 w-full items-center justify-center rounded-[10px] border border-(--shop-edge) text-[18px] font-bold">
                {rating}
              </span>
              <span className="text-center text-[13px] leading-tight peer-checked:font-bold">
                {translate(`rating.r${rating}`)}
              </span>
            </label>
          ))}
        </div>
      </fieldset>
      {!required && (
        <label className="mt-1 hidden min-h-6 cursor-pointer items-center gap-2 text-[13px] group-has-[.rating-step_input:checked]:inline-flex">
          <input type="radio" name={field.name} value="" className="radio radio-xs" />
          {translate('form.noRating')}
        </label>
      )}
      <Mistakes field={field} />
    </div>
  )
}

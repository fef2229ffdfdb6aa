import type { RefObject } from 'react'
import { useTranslate } from './speech'

/** Whether the shop may show the review; it starts empty. */
export function ConsentField({
  field,
  box,
  words,
}: {
  field: { name: string; initialValue?: unknown }
  box: RefObject<HTMLInputElement | null>
  /** What is agreed to. */
  words: string
}) {
  const translate = useTranslate()
  return (
    <label className="flex items-start gap-3" data-part="consent">
      <input
        ref={box}
        type="checkbox"
        name={field.name}
        defaultChecked={field.initialValue === 'on'}
        className="checkbox checkbox-sm mt-0.5 rounded-[5px] border-edge"
      />
      <span>
        <span className="block text-[15px]" dir="auto">
          {words}
        </span>
        <span className="block text-soft">{translate('form.consentHint')}</span>
      </span>
    </label>
  )
}

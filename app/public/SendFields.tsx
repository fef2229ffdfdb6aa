import { useRef, useState, type MouseEvent, type RefObject } from 'react'
import { AskConsent } from './AskConsent'
import { ConsentField } from './ConsentField'
import { useTranslate } from './speech'
import { useTakeOver } from './useTakeOver'

/** The permission to show the review, and the button that sends it; without permission it asks once. */
export function SendFields({
  shop,
  field,
  agreed,
  send,
  isComplete,
  status,
  words,
}: {
  shop: string
  field: Parameters<typeof ConsentField>[0]['field']
  /** What is agreed to. */
  agreed: string
  /** Called with each click that sends the form. */
  send: (event: MouseEvent<HTMLButtonElement>) => void
  isComplete: (sent: HTMLFormElement) => boolean
  /** What the form is waiting for after it was sent; null if nothing. */
  status: string | null
  /** Of the button. */
  words: string
}) {
  const translate = useTranslate()
  const [asking, setAsking] = useState<'before' | 'now' | 'after'>('before')
  const box: RefObject<HTMLInputElement | null> = useRef(null)
  const button = useRef<HTMLButtonElement>(null)
  const answered = useRef(false)
  useTakeOver(button)
  return (
    <>
      <ConsentField field={field} box={box} words={agreed} />
      {asking === 'now' && (
        <AskConsent
          shop={shop}
          answer={(given) => {
            if (box.current) box.current.checked = given
            answered.current = true
            setAsking('after')
            button.current?.click()
          }}
        />
      )}
      <div className={asking === 'now' ? 'hidden' : 'flex flex-wrap items-center gap-x-4 gap-y-2'}>
        <button
          ref={button}
          data-part="button"
          onClick={(event) => {
            const { form } = event.currentTarget
            // The enter key in a field is no answer.
            if (asking === 'now' && !answered.current) event.preventDefault()
            else if (asking === 'before' && !box.current?.checked && form && isComplete(form)) {
              event.preventDefault()
              setAsking('now')
            } else send(event)
          }}
          className="btn h-12 border-0 bg-(--shop-button) px-6 text-[15px] text-white hover:brightness-110"
        >
          {words}
        </button>
        <span className="text-soft" role={status === null ? undefined : 'status'}>
          {status ?? translate('form.next', { shop })}
        </span>
      </div>
    </>
  )
}

import { useEffect, useRef } from 'react'
import { useTranslate } from './speech'

/** Asked once, when a complete review is sent without permission to show it. */
export function AskConsent({ shop, answer }: { shop: string; answer: (given: boolean) => void }) {
  const translate = useTranslate()
  const first = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    first.current?.focus()
    first.current?.scrollIntoView({ block: 'center' })
  }, [])
  return (
    <div
      role="alertdialog"
      aria-labelledby="ask-consent"
      className="rounded-lg border-2 border-(--shop-edge) px-4 py-3"
    >
      <p id="ask-consent" className="text-[15px] font-semibold">
        {translate('form.consentAsk', { shop })}
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <button
          ref={first}
          type="button"
          className="btn h-11 border-0 bg-(--shop-button) px-5 text-[15px] text-white hover:brightness-110"
          onClick={() => answer(true)}
        >
          {translate('form.consentYes')}
        </button>
        <button type="button" className="btn btn-quiet h-11 px-5 text-[15px]" onClick={() => answer(false)}>
          {translate('form.consentNo', { shop })}
        </button>
      </div>
    </div>
  )
}

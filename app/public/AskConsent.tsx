import { useEffect, useRef } from 'react'
import { useTranslate } from './speech'

/** Asked once, when a complete review is sent without permission to show it. Neither answer is suggested. */
export function AskConsent({ shop, answer }: { shop: string; answer: (given: boolean) => void }) {
  const translate = useTranslate()
  const question = useRef<HTMLDivElement>(null)
  useEffect(() => {
    question.current?.focus()
    question.current?.scrollIntoView({ block: 'center' })
  }, [])
  const either = 'btn btn-quiet h-12 flex-1 px-5 text-[15px]'
  return (
    <div
      ref={question}
      tabIndex={-1}
      role="alertdialog"
      aria-labelledby="ask-consent"
      className="rounded-lg border-2 border-(--shop-edge) px-4 py-3"
    >
      <p id="ask-consent" className="text-[15px] font-semibold">
        {translate('form.consentAsk', { shop })}
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="button" className={either} onClick={() => answer(true)}>
          {translate('form.consentYes')}
        </button>
        <button type="button" className={either} onClick={() => answer(false)}>
          {translate('form.consentNo', { shop })}
        </button>
      </div>
    </div>
  )
}

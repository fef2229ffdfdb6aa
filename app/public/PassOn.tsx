import { useState } from 'react'
import { useAwake } from '../components/useAwake'
import { useTranslate } from './speech'

/** Links for telling others: the device's own sharing where there is one, a copied address, an email. */
export function PassOn({ url, shop }: { url: string; shop: string }) {
  const translate = useTranslate()
  const awake = useAwake()
  const [copied, setCopied] = useState(false)
  const subject = translate('form.passOn.subject', { shop })
  const mail = `mailto:?subject=${encodeURIComponent(subject)}&body=${encodeURIComponent(url)}`
  const look = 'btn btn-quiet text-[15px]'
  return (
    <section className="mt-8 border-t border-line pt-4" aria-labelledby="pass-on">
      <h2 id="pass-on" className="text-[17px]">
        {translate('form.passOn.title', { shop })}
      </h2>
      <p className="mt-3 flex flex-wrap gap-2">
        {awake && 'share' in navigator && (
          <button
            type="button"
            className={look}
            // Closing the device's list without choosing is no fault.
            onClick={() => void navigator.share({ title: subject, url }).catch(() => undefined)}
          >
            {translate('form.passOn.share')}
          </button>
        )}
        {awake && (
          <button
            type="button"
            className={look}
            onClick={() => void navigator.clipboard.writeText(url).then(() => setCopied(true))}
          >
            {translate('form.passOn.copy')}
          </button>
        )}
        <a href={mail} className={look}>
          {translate('form.passOn.email')}
        </a>
        <span role="status" className="self-center text-soft">
          {copied && translate('form.passOn.copied')}
        </span>
      </p>
      {!awake && <p className="mt-2 text-[15px] break-words">{url}</p>}
    </section>
  )
}

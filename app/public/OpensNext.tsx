import { useEffect, useState } from 'react'
import { useTranslate } from './speech'

/**
 * Opens the next page after some seconds, and says so; who wants to go on reading stays. In a frame on another page it
 * does nothing: that page is what its visitor came for.
 */
export function OpensNext({ url, after }: { url: string; after: number }) {
  const translate = useTranslate()
  const [left, setLeft] = useState<number | null>(null)
  const [stays, setStays] = useState(false)
  useEffect(() => {
    if (stays || window.top !== window) return
    let seconds = after
    const tick = () => {
      setLeft(seconds)
      if (seconds-- <= 0) location.assign(url)
    }
    tick()
    const timer = setInterval(tick, 1000)
    return () => clearInterval(timer)
  }, [url, after, stays])
  if (stays || left === null) return null
  return (
    <p className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 text-[15px]">
      {/* Each second would interrupt a screen reader. */}
      <span aria-hidden="true">{translate('form.thanks.opens', { count: left })}</span>
      <span role="status" className="sr-only">
        {translate('form.thanks.opens', { count: after })}
      </span>
      <button type="button" className="btn btn-quiet text-[15px]" onClick={() => setStays(true)}>
        {translate('form.thanks.stay')}
      </button>
    </p>
  )
}

import { useTranslate } from './speech'

/** The number of used characters; screen readers hear it only near the limit. */
export function Counter({ used, limit }: { used: number; limit: number }) {
  const translate = useTranslate()
  return (
    <span
      className={used > limit ? 'font-semibold text-plum' : ''}
      aria-live={used > limit - 100 ? 'polite' : 'off'}
    >
      {translate('form.counter', { used, limit })}
    </span>
  )
}

import { say } from '../../core/words/say'

/** How much of a field is used; said aloud only near its end. */
export function Counter({ used, limit }: { used: number; limit: number }) {
  const number = new Intl.NumberFormat('en')
  return (
    <span
      className={used > limit ? 'font-semibold text-plum' : ''}
      aria-live={used > limit - 100 ? 'polite' : 'off'}
    >
      {say('form.counter', { used: number.format(used), limit: number.format(limit) })}
    </span>
  )
}

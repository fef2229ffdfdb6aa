import { Link, useSearchParams } from 'react-router'
import { say } from '../../core/messages/say/frame'
import { pageIn } from './pageIn'

/** The way to the page before and after; nothing if one page holds all. */
export function PageLinks({ count, ofPage }: { count: number; ofPage: number }) {
  const [search] = useSearchParams()
  const { page } = pageIn(search)
  const pages = Math.ceil(count / ofPage)
  if (pages <= 1) return null
  const to = (number: number) => {
    const next = new URLSearchParams(search)
    next.set('page', String(number))
    return `?${next.toString()}`
  }
  return (
    <nav aria-label={say('pages.name')} className="mt-4 flex items-center gap-4 px-[18px]">
      {page > 1 && (
        <Link className="part min-h-6" to={to(page - 1)}>
          {say('pages.before')}
        </Link>
      )}
      <span className="text-soft">{say('pages.of', { page, pages })}</span>
      {page < pages && (
        <Link className="part min-h-6" to={to(page + 1)}>
          {say('pages.after')}
        </Link>
      )}
    </nav>
  )
}

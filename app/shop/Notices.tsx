import { TriangleAlert } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link, useLocation } from 'react-router'
import { say } from '../../core/messages/say/frame'
import { Menu } from '../components/Menu'
import type { NoticeShown } from './notices'

const AGAIN_MS = 60_000

/** What needs a person beyond the queue; nothing while nothing does. */
export default function Notices({ shop }: { shop: string }) {
  const notices = useNotices(shop)
  if (notices.length === 0) return null
  return (
    <Menu
      name={say('frame.notices.open', { count: notices.length })}
      label={
        <span className="grid size-9 place-items-center rounded-lg border border-[#4d7f89]">
          <TriangleAlert className="size-[18px] text-[#f3cf87]" aria-hidden="true" />
        </span>
      }
    >
      <ul className="w-[22rem] max-w-[86vw] divide-y divide-line" aria-label={say('frame.notices.name')}>
        {notices.map(({ about, title, text, to }) => (
          <li key={about} className="px-3 py-2.5">
            <p className="font-semibold">{title}</p>
            <p className="text-soft">{text}</p>
            {to && (
              <Link to={to} className="part mt-1 inline-block">
                {say('frame.notices.mend')}
              </Link>
            )}
          </li>
        ))}
      </ul>
    </Menu>
  )
}

/** Asked for after the page has come, at each screen and once a minute: what they look at takes time. */
function useNotices(shop: string): NoticeShown[] {
  const [notices, setNotices] = useState<NoticeShown[]>([])
  const { pathname } = useLocation()
  const screen = pathname.split('/').slice(0, 5).join('/')
  useEffect(() => {
    const stop = new AbortController()
    const ask = async () => {
      if (document.visibilityState !== 'visible') return
      const answer = await fetch(`/s/${shop}/notices`, { signal: stop.signal })
      if (answer.ok && !answer.redirected) setNotices((await answer.json()) as NoticeShown[])
    }
    // Without a connection the notices stay as they are.
    const look = () => void ask().catch(() => undefined)
    look()
    const timer = setInterval(look, AGAIN_MS)
    return () => {
      stop.abort()
      clearInterval(timer)
    }
  }, [shop, screen])
  return notices
}

import { Search, X } from 'lucide-react'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { say } from '../../core/messages/say/decide'
import { queuePath, type QueueSearch } from './address'

const TYPING_PAUSE_MS = 250

/** Searches the lists as it is typed. Escape leaves it. */
export function SearchField({ shop, search }: { shop: string; search: QueueSearch }) {
  const [typed, setTyped] = useState(search.q ?? '')
  const [asked, setAsked] = useState(search.q ?? '')
  const navigate = useNavigate()
  // The address can change without typing: a saved filter, or the browser's back button.
  if ((search.q ?? '') !== asked) {
    setAsked(search.q ?? '')
    setTyped(search.q ?? '')
  }
  useEffect(() => {
    const q = typed.trim()
    if (q === asked) return
    const timer = setTimeout(() => {
      setAsked(q)
      void navigate(queuePath(shop, null, { ...search, q: q || undefined }), { replace: true })
    }, TYPING_PAUSE_MS)
    return () => clearTimeout(timer)
  }, [typed, asked, navigate, shop, search])
  return (
    <label className="input h-9 w-auto min-w-0 flex-1 border-edge bg-paper lg:w-64 lg:flex-none">
      <Search className="size-4 text-soft" aria-hidden="true" />
      <span className="sr-only">{say('decide.search')}</span>
      <input
        name="q"
        value={typed}
        placeholder={say('decide.searchHint')}
        autoComplete="off"
        onChange={(event) => setTyped(event.currentTarget.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape' || event.key === 'Enter') event.currentTarget.blur()
        }}
      />
      {typed && (
        <button
          type="button"
          className="grid size-6 cursor-pointer place-items-center"
          aria-label={say('decide.clearSearch')}
          onClick={() => setTyped('')}
        >
          <X className="size-4" aria-hidden="true" />
        </button>
      )}
    </label>
  )
}

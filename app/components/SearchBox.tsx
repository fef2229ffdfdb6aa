import { useEffect, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'

const PAUSE_MS = 250

/** Searches a list: the words are part of its address, and the list begins at its first page again. */
export function SearchBox({ label }: { label: string }) {
  const [search, setSearch] = useSearchParams()
  const [typed, setTyped] = useState(search.get('q') ?? '')
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  const onType = (text: string) => {
    setTyped(text)
    clearTimeout(timer.current)
    timer.current = setTimeout(
      () =>
        setSearch(text.trim() === '' ? {} : { q: text.trim() }, { replace: true, preventScrollReset: true }),
      PAUSE_MS,
    )
  }
  return (
    <input
      type="search"
      name="q"
      value={typed}
      onChange={(event) => onType(event.currentTarget.value)}
      aria-label={label}
      placeholder={label}
      className="input w-60 border-edge"
    />
  )
}

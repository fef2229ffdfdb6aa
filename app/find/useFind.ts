import { useEffect, useState } from 'react'
import type { Found } from '../../server/search/find'

const PAUSE_MS = 120

interface Answer {
  typed: string
  found: Found
}

/** What the server finds; the answer before stays while the next one is awaited. */
export function useFind(shop: string, typed: string) {
  const [answer, setAnswer] = useState<Answer | null>(null)
  const [failedFor, setFailedFor] = useState<string | null>(null)
  const words = typed.trim()
  useEffect(() => {
    if (words === '') return
    const stop = new AbortController()
    const ask = async () => {
      const answered = await fetch(`/s/${shop}/find?q=${encodeURIComponent(words)}`, { signal: stop.signal })
      if (!answered.ok) return setFailedFor(words)
      setAnswer({ typed: words, found: (await answered.json()) as Found })
    }
    const timer = setTimeout(
      () => void ask().catch(() => stop.signal.aborted || setFailedFor(words)),
      PAUSE_MS,
    )
    return () => {
      clearTimeout(timer)
      stop.abort()
    }
  }, [shop, words])
  const hasFailed = words !== '' && failedFor === words
  return {
    answer: words === '' || hasFailed ? null : answer,
    isSearching: words !== '' && answer?.typed !== words && !hasFailed,
    hasFailed,
  }
}

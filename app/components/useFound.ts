import { useEffect, useRef, useState } from 'react'

const PAUSE_MS = 200

/**
 * Suggestions from the server for what is typed; those given until there are some.
 * @param address without the words; null if nothing can be looked up
 */
export function useFound<T>(
  address: string | null,
  given: T[],
): { found: T[]; lookUp: (words: string) => void } {
  const [answer, setAnswer] = useState<T[] | null>(null)
  const pending = useRef<{ timer?: ReturnType<typeof setTimeout>; stop?: AbortController }>({})
  const forget = () => {
    clearTimeout(pending.current.timer)
    pending.current.stop?.abort()
  }
  useEffect(() => forget, [])
  const lookUp = (words: string) => {
    forget()
    if (address === null) return
    if (words.trim() === '') return setAnswer(null)
    const stop = new AbortController()
    const ask = async () => {
      const answered = await fetch(`${address}?q=${encodeURIComponent(words.trim())}`, {
        signal: stop.signal,
      })
      if (answered.ok) setAnswer((await answered.json()) as T[])
    }
    // Without a connection the suggestions stay as they are.
    pending.current = { stop, timer: setTimeout(() => void ask().catch(() => undefined), PAUSE_MS) }
  }
  return { found: answer ?? given, lookUp }
}

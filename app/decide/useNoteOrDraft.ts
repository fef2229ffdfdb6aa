import { useEffect, useRef, useState } from 'react'
import { useFetcher } from 'react-router'

const TYPING_PAUSE_MS = 500

/** Saves a text as it is typed, also when the page is left before the pause ends. */
export function useNoteOrDraft(
  address: string,
  what: 'note' | 'replyDraft' | 'alt',
  kept: string,
  photo = '',
) {
  const fetcher = useFetcher<{ kept?: string; problem?: string }>()
  const [text, setText] = useState(kept)
  const [unsent, setUnsent] = useState(false)
  const { submit } = fetcher
  useEffect(() => {
    if (!unsent) return
    const timer = setTimeout(() => {
      setUnsent(false)
      void submit({ what, text, photo }, { method: 'post', action: address })
    }, TYPING_PAUSE_MS)
    return () => clearTimeout(timer)
  }, [unsent, text, submit, address, what, photo])

  const pending = useRef<string | null>(null)
  useEffect(() => {
    pending.current = unsent ? text : null
  }, [unsent, text])
  useEffect(() => {
    const sendPending = () => {
      if (pending.current === null) return
      navigator.sendBeacon(address, new URLSearchParams({ what, photo, text: pending.current }))
      pending.current = null
    }
    window.addEventListener('pagehide', sendPending)
    return () => {
      window.removeEventListener('pagehide', sendPending)
      sendPending()
    }
  }, [address, what, photo])

  return {
    text,
    type: (typed: string) => {
      setText(typed)
      setUnsent(true)
    },
    /** Replaces the text with one that is already saved. */
    put: (words: string) => {
      setText(words)
      setUnsent(false)
    },
    isKept: !unsent && fetcher.state === 'idle' && fetcher.data?.kept === text,
  }
}

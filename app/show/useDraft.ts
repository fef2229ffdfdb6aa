import { useEffect, useRef, useState } from 'react'
import { useFetcher } from 'react-router'
import type { Configuration } from '../../core/display/configuration'

const TYPING_PAUSE_MS = 250

function saving(configuration: Configuration): FormData {
  const form = new FormData()
  form.set('intent', 'save')
  form.set('configuration', JSON.stringify(configuration))
  return form
}

/** The draft as it stands on the screen; every change is kept by itself after a short pause, or on leaving the page. */
export function useDraft(kept: Configuration, address: string) {
  const fetcher = useFetcher<{ problem: string } | null>()
  const { submit } = fetcher
  const [draft, setDraft] = useState(kept)
  const [unsent, setUnsent] = useState(false)
  const keptText = JSON.stringify(kept)
  const [seen, setSeen] = useState(keptText)
  // What comes back from the server wins once nothing typed is still on its way there.
  if (seen !== keptText && !unsent && fetcher.state === 'idle') {
    setSeen(keptText)
    setDraft(kept)
  }

  useEffect(() => {
    if (!unsent) return
    const timer = setTimeout(() => {
      setUnsent(false)
      void submit(saving(draft), { method: 'post', action: address })
    }, TYPING_PAUSE_MS)
    return () => clearTimeout(timer)
  }, [unsent, draft, submit, address])

  const pending = useRef<Configuration | null>(null)
  useEffect(() => {
    pending.current = unsent ? draft : null
  }, [unsent, draft])
  useEffect(() => {
    const sendPending = () => {
      if (pending.current) navigator.sendBeacon(address, saving(pending.current))
      pending.current = null
    }
    window.addEventListener('pagehide', sendPending)
    return () => {
      window.removeEventListener('pagehide', sendPending)
      sendPending()
    }
  }, [address])

  const change = (changed: Configuration) => {
    setDraft(changed)
    setUnsent(true)
  }
  return { draft, change, saving: unsent || fetcher.state !== 'idle', problem: fetcher.data?.problem ?? null }
}

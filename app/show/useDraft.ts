import { useEffect, useRef, useState } from 'react'
import { useFetcher } from 'react-router'
import { changedKeys } from './changedKeys'
import type { Configuration } from '../../core/display/configuration'

const TYPING_PAUSE_MS = 250
/** Faster changes of the same setting are one undo step. */
const ONE_STEP_MS = 900
const MOST_STEPS = 100

function saving(configuration: Configuration): FormData {
  const form = new FormData()
  form.set('intent', 'save')
  form.set('configuration', JSON.stringify(configuration))
  return form
}

interface Steps {
  back: Configuration[]
  forth: Configuration[]
}

/** Saves each change after a short pause, or when the page is left. */
export function useDraft(kept: Configuration, address: string) {
  const fetcher = useFetcher<{ problem: string } | null>()
  const { submit } = fetcher
  const [draft, setDraft] = useState(kept)
  const [unsent, setUnsent] = useState(false)
  const [steps, setSteps] = useState<Steps>({ back: [], forth: [] })
  const lastChange = useRef({ at: 0, keys: '' })
  const keptText = JSON.stringify(kept)
  const [seen, setSeen] = useState(keptText)
  // The server's answer replaces the draft only if no change is unsaved.
  if (seen !== keptText && !unsent && fetcher.state === 'idle') {
    setSeen(keptText)
    if (keptText !== JSON.stringify(draft)) setSteps({ back: [...steps.back, draft], forth: [] })
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

  const put = (changed: Configuration, next: Steps) => {
    setDraft(changed)
    setSteps(next)
    setUnsent(true)
  }
  const change = (changed: Configuration) => {
    const now = performance.now()
    const keys = changedKeys(draft, changed)
    const goesOn =
      now - lastChange.current.at < ONE_STEP_MS &&
      keys === lastChange.current.keys &&
      steps.forth.length === 0
    lastChange.current = { at: now, keys }
    put(changed, { back: goesOn ? steps.back : [...steps.back.slice(-MOST_STEPS), draft], forth: [] })
  }
  const undo = () => {
    const before = steps.back.at(-1)
    if (!before) return
    lastChange.current = { at: 0, keys: '' }
    put(before, { back: steps.back.slice(0, -1), forth: [...steps.forth, draft] })
  }
  const redo = () => {
    const after = steps.forth.at(-1)
    if (!after) return
    lastChange.current = { at: 0, keys: '' }
    put(after, { back: [...steps.back, draft], forth: steps.forth.slice(0, -1) })
  }
  return {
    draft,
    change,
    undo: steps.back.length > 0 ? undo : null,
    redo: steps.forth.length > 0 ? redo : null,
    saving: unsent || fetcher.state !== 'idle',
    problem: fetcher.data?.problem ?? null,
  }
}

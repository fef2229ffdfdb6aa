import { startTransition, useEffect, useRef, useState } from 'react'
import { useFetcher } from 'react-router'
import type { DraftSaved } from '../../server/savingTab'
import { changedKeys } from './changedKeys'
import { tabId } from '../tabId'

const TYPING_PAUSE_MS = 250
/** Faster changes of the same setting are one undo step. */
const ONE_STEP_MS = 900
const MOST_STEPS = 100

function saving(draft: object, field: string, base: string | null): FormData {
  const form = new FormData()
  form.set('intent', 'save')
  form.set(field, JSON.stringify(draft))
  form.set('tab', tabId())
  if (base !== null) form.set('base', base)
  return form
}

type Answer = { problem: string } | DraftSaved | null

interface Steps<Draft> {
  back: Draft[]
  forth: Draft[]
}

/**
 * Saves each change after a short pause, or when the page is left. A draft that another tab has changed since is
 * not overwritten: `elsewhere` then offers both versions.
 * @param savedAt when the draft `kept` was saved; empty if it never was
 * @param field the name under which the draft is sent
 */
export function useDraft<Draft extends object>(kept: Draft, savedAt: string, address: string, field: string) {
  const fetcher = useFetcher<Answer>()
  const { submit } = fetcher
  const [draft, setDraft] = useState(kept)
  const [unsent, setUnsent] = useState(false)
  /** Given to the fetcher, whose state does not tell of it yet: the router renders in a transition. */
  const [handedOver, setHandedOver] = useState(false)
  const [steps, setSteps] = useState<Steps<Draft>>({ back: [], forth: [] })
  const lastChange = useRef({ at: 0, keys: '' })
  const keptText = JSON.stringify(kept)
  const [seen, setSeen] = useState(keptText)
  const base = useRef(savedAt)
  const answer = fetcher.data
  const [settled, setSettled] = useState<Answer>(null)
  const clash =
    answer && 'outcome' in answer && answer.outcome === 'changedElsewhere' && answer !== settled
      ? answer
      : null
  if (handedOver && fetcher.state !== 'idle') setHandedOver(false)
  // The server's answer replaces the draft only if no change is unsaved.
  if (seen !== keptText && !unsent && !handedOver && !clash && fetcher.state === 'idle') {
    setSeen(keptText)
    if (keptText !== JSON.stringify(draft)) setSteps({ back: [...steps.back, draft], forth: [] })
    setDraft(kept)
  }

  useEffect(() => {
    if (!unsent && !clash) base.current = savedAt
  }, [savedAt, unsent, clash])
  useEffect(() => {
    if (!unsent || clash) return
    const timer = setTimeout(() => {
      setUnsent(false)
      setHandedOver(true)
      void submit(saving(draft, field, base.current), { method: 'post', action: address }).finally(() =>
        startTransition(() => setHandedOver(false)),
      )
    }, TYPING_PAUSE_MS)
    return () => clearTimeout(timer)
  }, [unsent, clash, draft, submit, address, field])

  const pending = useRef<Draft | null>(null)
  useEffect(() => {
    pending.current = unsent ? draft : null
  }, [unsent, draft])
  useEffect(() => {
    const sendPending = () => {
      if (pending.current) navigator.sendBeacon(address, saving(pending.current, field, base.current))
      pending.current = null
    }
    window.addEventListener('pagehide', sendPending)
    return () => {
      window.removeEventListener('pagehide', sendPending)
      sendPending()
    }
  }, [address, field])

  const isSaving = unsent || handedOver || fetcher.state !== 'idle'
  const problem = answer && 'problem' in answer ? answer.problem : null
  const whenSaved = useRef<(() => void) | null>(null)
  useEffect(() => {
    if (isSaving) return
    const act = whenSaved.current
    whenSaved.current = null
    if (!problem && !clash) act?.()
  })
  /** Does what is about the whole draft, such as publishing it, once all changes are saved; not if that fails. */
  const afterSaving = (act: () => void) => {
    if (isSaving) whenSaved.current = act
    else act()
  }

  const put = (changed: Draft, next: Steps<Draft>) => {
    setDraft(changed)
    setSteps(next)
    setUnsent(true)
  }
  const change = (changed: Draft) => {
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
    saving: isSaving,
    problem,
    afterSaving,
    elsewhere: clash && {
      // One's own version is a step of undo.
      takeTheirs: () => {
        setSettled(clash)
        setUnsent(false)
        setSteps({ back: [...steps.back, draft], forth: [] })
        setSeen(keptText)
        setDraft(kept)
      },
      keepOwn: () => {
        setSettled(clash)
        base.current = clash.savedAt
        setUnsent(true)
      },
    },
  }
}

import { useEffect, useState } from 'react'

/** Whether a key is held down, outside of fields. The second part sets it, for a button that does the same. */
export function useHeldKey(key: string): [held: boolean, set: (held: boolean) => void] {
  const [held, setHeld] = useState(false)
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      const [at] = event.composedPath()
      const isTyped =
        at instanceof HTMLElement && (at.isContentEditable || at.closest('input,textarea,select'))
      if (event.key === key && !event.repeat && !event.ctrlKey && !event.metaKey && !isTyped) setHeld(true)
    }
    const up = () => setHeld(false)
    addEventListener('keydown', down)
    addEventListener('keyup', up)
    addEventListener('blur', up)
    return () => {
      removeEventListener('keydown', down)
      removeEventListener('keyup', up)
      removeEventListener('blur', up)
    }
  }, [key])
  return [held, setHeld]
}

import { useEffect } from 'react'

/** Ctrl+Z and Ctrl+Shift+Z outside of text fields, which have an undo of their own. */
export function useUndoKeys(undo: (() => void) | null, redo: (() => void) | null): void {
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return
      // The field of own CSS is in a shadow root.
      const target = event.composedPath()[0] as HTMLElement
      if (
        target.isContentEditable ||
        target.matches('input:not([type=radio],[type=checkbox],[type=range]), textarea')
      )
        return
      event.preventDefault()
      if (event.shiftKey) redo?.()
      else undo?.()
    }
    window.addEventListener('keydown', pressed)
    return () => window.removeEventListener('keydown', pressed)
  }, [undo, redo])
}

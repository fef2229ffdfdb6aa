import { useEffect, type RefObject } from 'react'

/**
 * Takes over a form that was filled in before its scripts were there: what was typed is counted, and a form that was
 * sent meanwhile is sent (`laterScripts.ts`).
 */
export function useTakeOver(button: RefObject<HTMLButtonElement | null>): void {
  useEffect(() => {
    const fields = button.current?.form?.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>(
      'input, textarea',
    )
    for (const field of fields ?? [])
      if (field.type !== 'hidden' && field.value !== field.defaultValue)
        field.dispatchEvent(new Event('input', { bubbles: true }))
    window.dispatchEvent(new Event('awake'))
  }, [button])
}

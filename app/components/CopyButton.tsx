import { Check, Copy } from 'lucide-react'
import { useState } from 'react'
import { say } from '../../core/messages/say/frame'

const SHOWN_MS = 2500

/** Where copying is not allowed, the text is selected instead. */
export function CopyButton({
  text,
  label,
  primary = false,
  copied,
}: {
  text: string
  label: string
  primary?: boolean
  /** Called after a successful copy. */
  copied?: () => void
}) {
  const [outcome, setOutcome] = useState<'copied' | 'refused' | null>(null)
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text)
      setOutcome('copied')
      copied?.()
    } catch {
      setOutcome('refused')
    }
    setTimeout(() => setOutcome(null), SHOWN_MS)
  }
  return (
    <button
      type="button"
      className={`btn ${primary ? 'btn-primary' : 'btn-quiet'}`}
      onClick={() => void copy()}
    >
      {outcome === 'copied' ? (
        <Check className="size-4" aria-hidden="true" />
      ) : (
        <Copy className="size-4" aria-hidden="true" />
      )}
      <span role="status">
        {outcome === null ? label : say(outcome === 'copied' ? 'frame.copied' : 'frame.notCopied')}
      </span>
    </button>
  )
}

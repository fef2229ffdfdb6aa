import type { KeyboardEvent } from 'react'

/**
 * A part of a sentence that opens its choices. It is inline text, so that it wraps within the sentence and the
 * punctuation after it stays with it; a button would be a block of its own.
 */
export function SentencePart({
  words,
  open,
  toggle,
  controls,
  quiet = false,
  ...names
}: {
  words: string
  open: boolean
  toggle: () => void
  /** The id of what it opens. */
  controls: string
  /** Less prominent while it is closed. */
  quiet?: boolean
  'data-part'?: string
  'data-filter'?: string
}) {
  const byKey = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return
    event.preventDefault()
    event.stopPropagation()
    toggle()
  }
  return (
    <span
      role="button"
      tabIndex={0}
      className={`part ${words.length < 3 ? 'px-1.5' : ''} ${quiet ? 'aria-[expanded=false]:text-soft' : ''}`}
      aria-expanded={open}
      aria-controls={controls}
      onClick={toggle}
      onKeyDown={byKey}
      {...names}
    >
      {words}
    </span>
  )
}

import type { ReactNode } from 'react'

/** A square button with an icon, such as undo; disabled while there is nothing to do. */
export function StepButton({
  words,
  act,
  children,
}: {
  words: string
  act: (() => void) | null
  children: ReactNode
}) {
  return (
    <button
      type="button"
      className="btn btn-quiet btn-low btn-square"
      aria-label={words}
      title={words}
      disabled={act === null}
      onClick={() => act?.()}
    >
      {children}
    </button>
  )
}

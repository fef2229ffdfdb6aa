import type { CSSProperties, ReactNode, Ref } from 'react'

/** A part of a form in the list of its parts. */
export function PartRow({
  words,
  state,
  choose,
  before,
  className = '',
  ...at
}: {
  words: string
  /** What is said at the end of the row. */
  state: string
  choose: () => void
  before?: ReactNode
  className?: string
  style?: CSSProperties
  ref?: Ref<HTMLLIElement>
}) {
  return (
    <li className={`flex items-center ${className}`} {...at}>
      {before}
      <button
        type="button"
        className="flex min-h-9 min-w-0 flex-1 items-center justify-between gap-3 rounded-lg px-2 text-left hover:bg-wash"
        onClick={choose}
      >
        <span className="min-w-0 truncate">{words}</span>
        <span className="shrink-0 text-[13px] whitespace-nowrap text-soft">{state}</span>
      </button>
    </li>
  )
}

import { useState } from 'react'

/** A colour, chosen or typed; invalid input changes nothing. */
export function ColourChoice({
  label,
  value,
  fallback,
  set,
}: {
  label: string
  value: string
  /** The colour that is used without a choice. */
  fallback: string
  set: (colour: string) => void
}) {
  const [typed, setTyped] = useState<string | null>(null)
  return (
    <span className="flex items-center gap-2 text-[13px] text-soft">
      {label}
      <input
        type="color"
        aria-label={label}
        value={value || fallback}
        className="h-8 w-9 shrink-0 cursor-pointer rounded-lg border border-edge bg-paper p-1"
        onChange={(event) => set(event.currentTarget.value)}
      />
      <input
        aria-label={label}
        className="input input-sm w-24 border-edge text-ink"
        value={typed ?? value}
        placeholder={fallback}
        spellCheck={false}
        onChange={(event) => {
          const text = event.currentTarget.value.trim()
          setTyped(text)
          const hex = `#${text.replace(/^#/, '')}`
          if (/^#[0-9a-f]{6}$/i.test(hex)) set(hex.toLowerCase())
          if (text === '') set('')
        }}
        onBlur={() => setTyped(null)}
      />
    </span>
  )
}

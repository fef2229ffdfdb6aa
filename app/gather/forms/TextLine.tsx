import { useState } from 'react'

/** A labelled text; an incomplete address is kept in the field and not passed on. */
export function TextLine({
  label,
  value,
  limit,
  placeholder,
  rows = 1,
  type = 'text',
  set,
}: {
  label: string
  value: string
  limit: number
  placeholder?: string
  /** More than one make it a text of several lines. */
  rows?: number
  type?: 'text' | 'url'
  set: (value: string) => void
}) {
  const [typed, setTyped] = useState<string | null>(null)
  const put = (text: string) => {
    const complete = type === 'text' || text === '' || isAddress(text)
    setTyped(complete ? null : text)
    if (complete) set(text)
  }
  const shared = {
    value: typed ?? value,
    maxLength: limit,
    placeholder,
    dir: 'auto' as const,
    'aria-invalid': typed !== null || undefined,
  }
  return (
    <label className="flex flex-col gap-1">
      <span className="text-[13px] text-soft">{label}</span>
      {rows > 1 ? (
        <textarea
          {...shared}
          rows={rows}
          onChange={(event) => put(event.currentTarget.value)}
          className="textarea field-sizing-content max-h-64 w-full border-edge text-ink"
        />
      ) : (
        <input
          {...shared}
          type={type}
          onChange={(event) => put(event.currentTarget.value)}
          className="input w-full border-edge text-ink"
        />
      )}
    </label>
  )
}

const isAddress = (text: string) => /^https?:\/\/[^\s/]+\.?\S*$/.test(text) && URL.canParse(text)

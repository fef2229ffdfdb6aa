import { useEffect, useRef } from 'react'
import { useTranslate } from './speech'

/** What is missing in a form that was sent, with a link to each field; it scrolls into view. */
export function Summary({
  fields,
  text,
  attempt,
}: {
  fields: { id: string; label: string }[]
  /** A reason that belongs to no field. */
  text?: string
  /** Changes with each attempt to send. */
  attempt: unknown
}) {
  const translate = useTranslate()
  const box = useRef<HTMLDivElement>(null)
  const count = fields.length
  useEffect(() => {
    if (count > 0) box.current?.scrollIntoView({ block: 'center' })
    // Only a new attempt scrolls, not each field that is filled in.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [attempt])
  if (count === 0 && !text) return null
  return (
    <div ref={box} role="alert" className="rounded-lg border border-plum px-3 py-2 font-semibold text-plum">
      <p>{text ?? translate('form.mistakes', { count })}</p>
      {count > 0 && (
        <ul className="mt-0.5 flex flex-wrap gap-x-4">
          {fields.map(({ id, label }) => (
            <li key={id}>
              <a href={`#${id}`} className="inline-block min-h-6 underline">
                {label}
              </a>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

import { useState } from 'react'
import { MOST_SHOWN } from '../../core/curation/selectionOrders'
import { say } from '../../core/messages/say/show'

/** The number of reviews; invalid input changes nothing and shows an error. */
export function NumberField({ value, set }: { value: number; set: (value: number) => void }) {
  const [typed, setTyped] = useState<string | null>(null)
  const wrong = typed !== null && read(typed) === null
  return (
    <label className={`flex items-center gap-2 ${wrong ? 'font-semibold text-plum' : 'text-soft'}`}>
      {say('show.customNumber', { most: MOST_SHOWN })}
      <input
        inputMode="numeric"
        className="input input-sm w-20 border-edge text-ink"
        value={typed ?? value}
        aria-invalid={wrong || undefined}
        onChange={(event) => {
          setTyped(event.currentTarget.value)
          const number = read(event.currentTarget.value)
          if (number !== null) set(number)
        }}
        onBlur={() => setTyped(null)}
      />
    </label>
  )
}

function read(typed: string): number | null {
  const number = /^\d{1,3}$/.test(typed.trim()) ? Number(typed) : NaN
  return number >= 1 && number <= MOST_SHOWN ? number : null
}

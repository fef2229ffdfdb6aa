import type { ReactNode } from 'react'

interface Choice<V> {
  value: V
  words: string
  picture?: ReactNode
  small?: string
}

/** Radio buttons with pictures. */
export function Choices<V extends string | number>({
  name,
  label,
  value,
  choices,
  choose,
  tight = false,
}: {
  name: string
  label: string
  value: V
  choices: Choice<V>[]
  choose: (value: V) => void
  /** Smaller, with less space. */
  tight?: boolean
}) {
  return (
    <fieldset>
      <legend className="sr-only">{label}</legend>
      <div className={`flex flex-wrap ${tight ? 'gap-1.5' : 'gap-2.5'}`}>
        {choices.map((choice) => (
          <label
            key={choice.value}
            className={`flex min-w-11 cursor-pointer flex-col items-center justify-end gap-1 rounded-[10px] border border-edge bg-paper ${tight ? 'p-1 text-[13px] leading-tight' : 'px-3 py-1.5'} hover:bg-wash has-checked:border-petrol has-checked:bg-tint has-checked:font-semibold has-checked:ring-1 has-checked:ring-petrol has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-petrol`}
          >
            <input
              type="radio"
              name={name}
              value={choice.value}
              checked={choice.value === value}
              onChange={() => choose(choice.value)}
              className="sr-only"
            />
            {choice.picture}
            {choice.words}
            {choice.small && <span className="text-[12.5px] font-normal text-soft">{choice.small}</span>}
          </label>
        ))}
      </div>
    </fieldset>
  )
}

/** A select, where pictures would not help. */
export function SelectLine<V extends string>({
  label,
  value,
  choices,
  choose,
  className = 'select select-sm w-auto border-edge text-ink',
}: {
  label: string
  value: V
  choices: [value: V, words: string][]
  choose: (value: V) => void
  className?: string
}) {
  return (
    <label className="flex items-baseline gap-1.5 text-[13px] text-soft">
      {label}
      <select
        className={className}
        value={value}
        onChange={(event) => choose(event.currentTarget.value as V)}
      >
        {choices.map(([one, words]) => (
          <option key={one} value={one} className="bg-paper text-ink">
            {words}
          </option>
        ))}
      </select>
    </label>
  )
}

export function Slider({
  label,
  value,
  words,
  min,
  max,
  step = 1,
  set,
}: {
  label: string
  value: number
  words: string
  min: number
  max: number
  step?: number
  set: (value: number) => void
}) {
  return (
    <label className="flex min-h-6 items-center gap-2 text-[13px] text-soft">
      <span className="min-w-16">{label}</span>
      <input
        type="range"
        className="range range-xs w-28 text-petrol"
        min={min}
        max={max}
        step={step}
        value={value}
        aria-valuetext={words}
        onChange={(event) => set(event.currentTarget.valueAsNumber)}
      />
      <output className="min-w-12 text-ink">{words}</output>
    </label>
  )
}

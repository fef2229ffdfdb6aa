import { evenSteps, nearestStep } from './evenSteps'

export function Slider({
  label,
  value,
  words,
  min,
  max,
  step = 1,
  byFactor = false,
  set,
}: {
  label: string
  value: number
  words: string
  min: number
  max: number
  step?: number
  /** Whether equal distances are equal factors, for values of which one is half or twice another. */
  byFactor?: boolean
  set: (value: number) => void
}) {
  const steps = byFactor ? evenSteps(min, max, step) : null
  return (
    <label className="flex min-h-6 items-center gap-2 text-[13px] text-soft">
      <span className="min-w-16">{label}</span>
      <input
        type="range"
        className="range range-xs w-28 text-petrol"
        {...(steps
          ? { min: 0, max: steps.length - 1, step: 1, value: nearestStep(steps, value) }
          : { min, max, step, value })}
        aria-valuetext={words}
        onChange={({ currentTarget: { valueAsNumber: at } }) => set(steps ? steps[at]! : at)}
      />
      <output className="min-w-12 text-ink">{words}</output>
    </label>
  )
}

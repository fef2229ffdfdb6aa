/** Each choice shows its number of matches. */
export function Checkboxes({
  label,
  choices,
  chosen,
  choose,
}: {
  label: string
  choices: { value: string; words: string; count?: number }[]
  chosen: string[]
  choose: (values: string[]) => void
}) {
  return (
    <fieldset>
      <legend className="sr-only">{label}</legend>
      <div className="flex max-h-32 flex-wrap gap-2 overflow-y-auto p-0.5">
        {choices.map(({ value, words, count }) => (
          <label
            key={value}
            className="flex min-h-9 cursor-pointer items-center gap-1.5 rounded-[10px] border border-edge bg-paper px-3 hover:bg-wash has-checked:border-petrol has-checked:bg-tint has-checked:font-semibold has-checked:ring-1 has-checked:ring-petrol has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-petrol"
          >
            <input
              type="checkbox"
              className="sr-only"
              checked={chosen.includes(value)}
              onChange={(event) =>
                choose(
                  event.currentTarget.checked
                    ? [...chosen, value]
                    : chosen.filter((other) => other !== value),
                )
              }
            />
            {words}
            {count !== undefined && <span className="font-normal text-soft">({count})</span>}
          </label>
        ))}
      </div>
    </fieldset>
  )
}

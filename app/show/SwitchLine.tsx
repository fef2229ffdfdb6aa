export function SwitchLine({ words, on, set }: { words: string; on: boolean; set: (on: boolean) => void }) {
  return (
    <label className="flex min-h-7 cursor-pointer items-center gap-2">
      <input
        type="checkbox"
        className="checkbox checkbox-sm border-edge"
        checked={on}
        onChange={(event) => set(event.currentTarget.checked)}
      />
      {words}
    </label>
  )
}

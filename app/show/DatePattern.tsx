import { DATE_PATTERN_LIMIT } from '../../core/display/choices'
import { say } from '../../core/messages/say/show'

/** The pattern of dates. */
export function DatePattern({ value, set }: { value: string; set: (pattern: string) => void }) {
  return (
    <label className="flex flex-wrap items-center gap-2 text-[13px] text-soft">
      {say('heading.datePattern')}
      <input
        className="input input-sm w-36 border-edge text-ink"
        value={value}
        maxLength={DATE_PATTERN_LIMIT}
        spellCheck={false}
        placeholder="d MMM yyyy"
        onChange={(event) => set(event.currentTarget.value)}
      />
      {say('heading.datePatternHelp')}
    </label>
  )
}

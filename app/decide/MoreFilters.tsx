import type { ReactNode } from 'react'
import { useNavigate } from 'react-router'
import type { ReviewFilter } from '../../core/moderation/reviewFilter'
import { say } from '../../core/messages/say/decide'
import { choiceWords, stripParts, type StripPart, type Titles } from './filterWords'

export interface FilterChoice {
  value: string
  /** The number of matches; null if it isn't known. */
  count: number | null
}
export type FilterChoices = Record<Exclude<StripPart, 'dates'>, FilterChoice[]>

interface Given {
  filter: ReviewFilter
  titles: Titles
  choices: FilterChoices
  /** Whether the numbers of matches are those of this filter. */
  exact: boolean
  to: (change: Partial<ReviewFilter>) => string
}

/** The rarer parts of the filter, each as a list; the panel stays open while several are set. */
export function MoreFilters({
  children,
  reset,
  ...given
}: Given & { children: ReactNode; reset: ReactNode }) {
  const parts = stripParts.filter(
    (part): part is Exclude<StripPart, 'dates'> =>
      part !== 'rating' && part !== 'dates' && given.choices[part].length > 0,
  )
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
      {parts.map((part) => (
        <FilterSelect key={part} part={part} {...given} />
      ))}
      {children}
      {reset}
    </div>
  )
}

export function FilterSelect({
  part,
  filter,
  titles,
  choices,
  exact,
  to,
}: Given & { part: Exclude<StripPart, 'dates'> }) {
  const navigate = useNavigate()
  const chosen = filter[part]
  return (
    <label className="flex items-center gap-2">
      <span className="text-[13px] text-soft">{say(`decide.filter.${part}.name`)}</span>
      <select
        name={part}
        value={chosen === undefined ? '' : String(chosen)}
        className="select select-sm max-w-56 border-edge"
        onChange={({ currentTarget: { value } }) =>
          void navigate(to({ [part]: value === '' ? undefined : part === 'rating' ? Number(value) : value }))
        }
      >
        <option value="">{say('decide.filter.all')}</option>
        {choices[part].map(({ value, count }) => (
          <option key={value} value={value}>
            {choiceWords(part, value, titles)}
            {exact && count !== null ? ` (${count})` : ''}
          </option>
        ))}
      </select>
    </label>
  )
}

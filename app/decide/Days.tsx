import { Link, useNavigate } from 'react-router'
import { spansUntil } from '../../core/formats/spans'
import type { ReviewFilter } from '../../core/moderation/reviewFilter'
import { say } from '../../core/messages/say/decide'
import { queuePath } from './address'

/** When reviews came: usual spans, or any two days. */
export function Days({ shop, filter, today }: { shop: string; filter: ReviewFilter; today: string }) {
  const navigate = useNavigate()
  const day = (end: 'from' | 'to') => (
    <label className="flex items-center gap-2">
      <span className="text-soft">{say(`decide.filter.dates.${end}`)}</span>
      <input
        type="date"
        name={end}
        defaultValue={filter[end] ?? ''}
        className="input input-sm w-36 border-edge"
        onChange={(event) => {
          const value = event.currentTarget.value
          // An incomplete date has no value. Navigating then would remove the field.
          if (value || event.currentTarget.validity.valid)
            void navigate(queuePath(shop, null, { ...filter, [end]: value || undefined }))
        }}
      />
    </label>
  )
  return (
    <div
      role="group"
      aria-label={say('decide.filter.dates.name')}
      className="flex flex-wrap items-center gap-3"
    >
      <span className="text-[13px] text-soft" aria-hidden="true">
        {say('decide.filter.dates.name')}
      </span>
      {spansUntil(today).map(({ name, from, to }) => (
        <Link
          key={name}
          to={queuePath(shop, null, { ...filter, from, to })}
          aria-current={filter.from === from && filter.to === to ? 'true' : undefined}
          className={`flex min-h-8 items-center rounded-lg border px-3 py-1 ${
            filter.from === from && filter.to === to
              ? 'border-petrol bg-tint font-semibold'
              : 'border-edge hover:bg-wash'
          }`}
        >
          {say(`decide.filter.dates.${name}`)}
        </Link>
      ))}
      {day('from')}
      {day('to')}
    </div>
  )
}

import type { ReactNode } from 'react'
import { say } from '../../core/messages/say/gather'

/** One source of reviews, with what it brought in the last 30 days. */
export function SourceRow({
  name,
  hint,
  count,
  children,
}: {
  name: ReactNode
  hint: ReactNode
  /** Of reviews, or what it counts instead; null if it brings nothing itself. */
  count: number | string | null
  children?: ReactNode
}) {
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 px-[18px] py-4 lg:gap-x-0">
      <div className="min-w-0 flex-1 basis-full lg:basis-0">
        <p className="font-semibold">{name}</p>
        <div className="min-w-0 text-soft [overflow-wrap:anywhere]">{hint}</div>
      </div>
      <span
        className="text-[18px] font-semibold lg:w-32"
        data-arrivals={typeof count === 'number' ? count : undefined}
      >
        {count !== null && (
          <>
            {count}{' '}
            <span className="text-[13px] font-normal text-soft lg:hidden">{say('gather.last30')}</span>
          </>
        )}
      </span>
      <div className="flex flex-wrap gap-2 lg:w-[300px] lg:justify-end">{children}</div>
    </li>
  )
}

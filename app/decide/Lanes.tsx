import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { ReviewState } from '../../core/moderation/rules'
import { say } from '../../core/messages/say/decide'
import { StateMark } from '../components/StateMark'
import { queuePath, type QueueSearch } from './address'
import { matchCount } from './matchCount'

export function Lanes({
  shop,
  lanes,
  open,
  counts,
  unconfirmed,
  search,
  matches,
  children,
}: {
  shop: string
  lanes: ReviewState[]
  open: ReviewState
  counts: Record<ReviewState, number>
  /** The part of the held reviews that waits only for confirmation. */
  unconfirmed: number
  search: QueueSearch
  /** The matches of the words that are searched for, in each list; null if nothing is, or more than words. */
  matches: Record<ReviewState, number> | null
  children: ReactNode
}) {
  return (
    <div className="flex min-h-[45px] flex-wrap items-stretch border-b border-line bg-wash px-4 lg:pr-6">
      <nav aria-label={say('decide.lanes')} className="max-w-full overflow-x-auto">
        <ul className="flex h-full min-h-[45px]">
          {lanes.map((lane) => (
            <li key={lane} className="flex">
              <Link
                to={queuePath(shop, null, matches ? { lane, q: search.q } : { lane })}
                aria-current={lane === open ? 'page' : undefined}
                className={`flex items-center gap-2 border-b-[3px] px-3 whitespace-nowrap lg:px-3.5 pt-[3px] text-[14.5px] ${
                  lane === open
                    ? 'border-petrol bg-paper font-semibold'
                    : 'border-transparent text-soft hover:text-ink'
                }`}
              >
                <StateMark state={lane} />
                {say(`state.${lane}`)}
                {matches ? (
                  <b className="ml-0.5 font-semibold text-ink" data-lane-matches={lane}>
                    {matchCount(matches[lane])}
                  </b>
                ) : (
                  <b className="ml-0.5 font-semibold text-ink" data-lane-count={lane}>
                    {lane === 'held' ? counts.held - unconfirmed : counts[lane]}
                  </b>
                )}
                {!matches && lane === 'held' && unconfirmed > 0 && (
                  <span data-unconfirmed>{say('decide.unconfirmed', { count: unconfirmed })}</span>
                )}
              </Link>
            </li>
          ))}
        </ul>
      </nav>
      <p className="self-center py-2 text-soft lg:ml-auto lg:py-0">{children}</p>
    </div>
  )
}

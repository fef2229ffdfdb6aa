import { scaleLinear } from 'd3-scale'
import { Link, useFetcher } from 'react-router'
import { translateCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/decide'
import type { AttackView } from '../../server/moderation/attacks'
import { queuePath } from './address'

export interface AttackShown extends Omit<AttackView, 'first' | 'last' | 'barsFrom' | 'barsTo'> {
  /** From the first to the last. */
  hours: number
  lastWhen: string
  fromWhen: string
  toWhen: string
}

const HOURS_AS_DAYS = 48
/** The strongest convince; more would be a list. */
const MAX_TRAITS = 4

/** An attack that goes on or waits for a decision: what its reviews share, when they came, and who comes next. */
export function AttackBanner({ shop, attack }: { shop: string; attack: AttackShown }) {
  const { count, open, approved, hours, isOver, shared, member } = attack
  const fetcher = useFetcher()
  const holds = fetcher.formData ? fetcher.formData.get('holds') === 'yes' : attack.holds
  const traits = shared
    .split('\n')
    .slice(0, MAX_TRAITS)
    .map((code) => translateCode(say, code))
    .join(', ')
  return (
    <section
      aria-label={say('group.attack')}
      className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-line bg-ochre/10 px-4 py-3 lg:px-6"
    >
      <div className="min-w-0 flex-1 basis-80">
        <h2 className="text-[16px] font-semibold">
          {hours > HOURS_AS_DAYS
            ? say('attack.titleDays', { count, days: Math.round(hours / 24) })
            : say('attack.title', { count, hours })}
        </h2>
        <p>
          {say('attack.shared', { shared: traits })}{' '}
          {say(isOver ? 'attack.over' : 'attack.goesOn', { when: attack.lastWhen })}{' '}
          {approved > 0 && say('attack.approved', { count: approved })}
        </p>
        <p className="mt-1 flex flex-wrap items-center gap-x-5 gap-y-1">
          <Link className="part" to={queuePath(shop, member.publicId, { lane: member.state })}>
            {open > 0 ? say('attack.decide', { count: open }) : say('attack.look')}
          </Link>
          {!isOver && (
            <label className="inline-flex min-h-6 cursor-pointer items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-sm rounded-[5px] border-edge bg-paper"
                checked={holds}
                onChange={(event) =>
                  void fetcher.submit(
                    { group: attack.groupId, holds: event.currentTarget.checked ? 'yes' : 'no' },
                    { method: 'post', action: `/s/${shop}/decide/attack` },
                  )
                }
              />
              {say('attack.holds')}
            </label>
          )}
        </p>
      </div>
      <Graph attack={attack} />
    </section>
  )
}

const [BAR, GAP, TALLEST] = [6, 2, 40]

/** Reviews by time, those of the attack below the others. */
function Graph({ attack: { bars, fromWhen, toWhen } }: { attack: AttackShown }) {
  const sumOf = (part: (bar: AttackView['bars'][number]) => number) =>
    bars.reduce((sum, bar) => sum + part(bar), 0)
  const members = sumOf((bar) => bar.members)
  const all = members + sumOf((bar) => bar.others)
  const height = scaleLinear([0, Math.max(...bars.map((bar) => bar.members + bar.others))], [0, TALLEST])
  const width = bars.length * (BAR + GAP) - GAP
  return (
    <figure className="shrink-0 text-[12.5px] text-soft">
      <svg
        role="img"
        aria-label={say('attack.graph', { members, all, from: fromWhen, to: toWhen })}
        width={width}
        height={TALLEST}
      >
        {bars.map((bar, i) => (
          <g key={i} transform={`translate(${i * (BAR + GAP)} ${TALLEST})`}>
            <rect y={-height(bar.members)} width={BAR} height={height(bar.members)} className="fill-ochre" />
            <rect
              y={-height(bar.members + bar.others)}
              width={BAR}
              height={height(bar.others)}
              className="fill-slate/50"
            />
            <rect y={-1} width={BAR} height={1} className="fill-edge" />
          </g>
        ))}
      </svg>
      <figcaption className="mt-1 flex justify-between gap-3" style={{ width }}>
        <span>{fromWhen}</span>
        <span>{toWhen}</span>
      </figcaption>
      <p className="flex gap-3" aria-hidden="true">
        <span className="inline-flex items-center gap-1">
          <span className="size-2 bg-ochre forced-fill" /> {say('attack.members')}
        </span>
        <span className="inline-flex items-center gap-1">
          <span className="size-2 bg-slate/50 forced-fill" /> {say('attack.others')}
        </span>
      </p>
    </figure>
  )
}

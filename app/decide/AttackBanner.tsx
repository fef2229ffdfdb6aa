import { Link, useFetcher } from 'react-router'
import { translateCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/decide'
import type { AttackView } from '../../server/moderation/attacks'
import { queuePath } from './address'
import { AttackGraph } from './AttackGraph'

interface AttackShown extends Omit<AttackView, 'first' | 'last' | 'barsFrom' | 'barsTo'> {
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
export default function AttackBanner({ shop, attack }: { shop: string; attack: AttackShown }) {
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
      <AttackGraph bars={attack.bars} fromWhen={attack.fromWhen} toWhen={attack.toWhen} />
    </section>
  )
}

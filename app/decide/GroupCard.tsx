import { useEffect, useRef, useState } from 'react'
import { writerInSentence, writerName } from '../../core/messages/writerName'
import { Link, useFetcher, useNavigate } from 'react-router'
import { acts, type Act } from '../../core/moderation/likelyAct'
import { plainAct } from '../../core/moderation/reviewAct'
import { countWordFirst } from '../../core/messages/countWord'
import { say } from '../../core/messages/say/decide'
import type { MemberLine } from '../../server/data/groups'
import type { GroupView } from '../../server/moderation/reviewGroups'
import { RatingMark } from '../components/RatingMark'
import { StateMark } from '../components/StateMark'
import { queuePath, type QueueSearch } from './address'

type Member = GroupView['open'][number]

/** The other reviews of a group, decided together. The ones that differ are shown and left out at first. */
export default function GroupCard({
  shop,
  review,
  group: { open, approved, spam, sameWords },
  search,
  after,
  at,
}: {
  shop: string
  /** The open review. */
  review: string
  group: GroupView
  search: QueueSearch
  /** The review to open next. */
  after: string | null
  /** When the group was read. */
  at: string
}) {
  const [changed, setChanged] = useState<Record<string, boolean>>({})
  const fetcher = useFetcher<{ many?: { conflicts: number } }>()
  const navigate = useNavigate()
  const isTicked = ({ publicId, odd }: Member) => changed[publicId] ?? odd.length === 0
  const select = (publicId: string, on: boolean) => setChanged({ ...changed, [publicId]: on })
  const meant = open.filter(isTicked)
  const odd = open.filter((member) => member.odd.length > 0)
  const rest = open.filter((member) => member.odd.length === 0)
  const answered = useRef(fetcher.data)
  useEffect(() => {
    if (!fetcher.data?.many || fetcher.data === answered.current) return
    answered.current = fetcher.data
    void navigate(queuePath(shop, meant.some(({ publicId }) => publicId === after) ? null : after, search))
  }, [fetcher.data, navigate, shop, after, search, meant])
  const act = (kind: Act) =>
    void fetcher.submit(
      {
        act: JSON.stringify(plainAct(kind)),
        ids: meant.map(({ publicId, revision }) => `${publicId}:${revision}`).join(','),
        at,
      },
      { method: 'post', action: `/s/${shop}/decide/many` },
    )
  const row = (member: Member) => (
    <li key={member.publicId} className="flex items-start gap-3 py-1.5">
      <input
        type="checkbox"
        className="checkbox checkbox-sm mt-0.5 rounded-[5px] border-edge"
        aria-label={say('decide.many.select', { name: writerInSentence(member.authorName) })}
        checked={isTicked(member)}
        onChange={(event) => select(member.publicId, event.currentTarget.checked)}
      />
      <Line shop={shop} member={member} isThis={member.publicId === review} odd={member.odd} />
    </li>
  )
  return (
    <section className="panel px-5 py-4" aria-labelledby="group">
      <h2 id="group" className="font-semibold">
        {headingOf(open, sameWords)}
      </h2>
      {spam > 0 && (
        <p className="mt-1">
          {say('group.spam', { count: spam, replace: { count: countWordFirst(spam) } })}{' '}
          <Link className="part" to={queuePath(shop, null, { lane: 'spam' })}>
            {say('group.open')}
          </Link>
        </p>
      )}
      {open.length > 1 && odd.length > 0 && (
        <>
          <p className="mt-2 text-[13px] text-soft">{say('group.odd')}</p>
          <ul>{odd.map(row)}</ul>
        </>
      )}
      {open.length > 1 && rest.length > 0 && (
        <details className="mt-1" open={rest.length <= 4}>
          <summary className="part inline-flex min-h-6 cursor-pointer items-center">
            {odd.length > 0
              ? say('group.rest', { count: rest.length })
              : say('decide.many.selected', { count: meant.length })}
          </summary>
          <ul>{rest.map(row)}</ul>
        </details>
      )}
      {open.length > 1 && (
        <div className="mt-3 flex flex-wrap items-center gap-2">
          {acts.map((kind) => (
            <button
              key={kind}
              type="button"
              className="btn btn-quiet"
              disabled={meant.length === 0 || fetcher.state !== 'idle'}
              onClick={() => act(kind)}
            >
              {say(`act.${kind}Many`, { count: meant.length })}
            </button>
          ))}
          {meant.length === 0 && <span className="text-soft">{say('group.none')}</span>}
        </div>
      )}
      {approved.length > 0 && (
        <>
          <p className="mt-3 border-t border-line pt-3 text-[13px] text-soft">
            {say('group.approved', { count: approved.length })}
          </p>
          <ul>
            {approved.map((member) => (
              <li key={member.publicId} className="flex items-start gap-3 py-1.5">
                <StateMark state={member.state} />
                <Line shop={shop} member={member} isThis={false} odd={[]} />
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

/** The number of equal reviews or, otherwise, of those that arrived together. */
function headingOf(open: Member[], sameWords: boolean): string {
  const alike = open.filter(({ odd }) => !odd.includes('words')).length
  if (open.length === 1) return say(sameWords ? 'group.aloneSame' : 'group.alone')
  const [key, count] =
    sameWords && alike > 1 ? (['group.same', alike] as const) : (['group.crowd', open.length] as const)
  return `${say(key, { count, replace: { count: countWordFirst(count) } })} ${say('group.title')}`
}

function Line({
  shop,
  member: { publicId, state, authorName, rating, title, body, verified },
  isThis,
  odd,
}: {
  shop: string
  member: MemberLine
  isThis: boolean
  odd: Member['odd']
}) {
  const apart = odd.map((oddity) => say(`group.oddity.${oddity}`)).join(', ')
  return (
    <span className="min-w-0 flex-1">
      <span className="flex flex-wrap items-baseline gap-x-2">
        <b className="font-semibold">{writerName(authorName)}</b>
        <RatingMark rating={rating} />
        {apart ? (
          <b className="font-semibold text-ochre">{apart}</b>
        ) : (
          verified && <span className="text-moss">{say('proof.verified')}</span>
        )}
        {isThis ? (
          <span className="text-[13px] text-soft">{say('group.this')}</span>
        ) : (
          <Link to={queuePath(shop, publicId, { lane: state })} className="part text-[13px]">
            {say('group.open')}
          </Link>
        )}
      </span>
      <span className="customer-words line-clamp-1 text-[15px]" dir="auto">
        {[title, body].filter(Boolean).join('. ')}
      </span>
    </span>
  )
}

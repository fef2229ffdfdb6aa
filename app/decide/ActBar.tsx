import { Fragment, useRef, useState } from 'react'
import { writerInSentence } from '../../core/messages/writerName'
import { useShortcut } from '../components/useShortcut'
import { Link, useNavigate, useOutletContext } from 'react-router'
import { acts, stateAfter, type Act } from '../../core/moderation/likelyAct'
import { plainAct, type ReviewAct } from '../../core/moderation/reviewAct'
import type { ReviewState } from '../../core/moderation/rules'
import { say } from '../../core/messages/say/decide'
import { Key } from '../components/Key'
import { actKeys, filledActs } from './actLooks'
import { FIRST_SHOWN, queuePath, type QueueSearch } from './address'
import { DeclineReasons } from './DeclineReasons'
import type { QueueContext } from './queue'
import { UndoLast, type LastAct } from './UndoLast'

interface Neighbour {
  publicId: string
  authorName?: string
}

export function ActBar({
  shop,
  review,
  search,
  likely,
  neighbours: { after, before },
  lastAct,
  canUndo,
  problem,
  reply,
  act,
}: {
  shop: string
  review: { publicId: string; state: ReviewState }
  search: QueueSearch
  likely: Act | null
  neighbours: { after: Neighbour | null; before: Neighbour | null }
  lastAct: LastAct | null
  canUndo: boolean
  problem: string | undefined
  /** Opens the reply. */
  reply: () => void
  act: (act: ReviewAct) => void
}) {
  const navigate = useNavigate()
  const { selection, shown, message, nextLane } = useOutletContext<QueueContext>()
  const [giving, setGiving] = useState(false)
  const single = selection.selected.length === 0

  const possible = acts.filter((one) => stateAfter[one] !== review.state)
  const plain = (one: Act) => {
    if (possible.includes(one)) act(plainAct(one))
  }
  // Keys pressed while the next review loads act on that review.
  const underWay = useRef<string | null>(null)
  const go = (side: 'after' | 'before') => {
    const at = underWay.current ?? review.publicId
    const there =
      at === review.publicId
        ? (side === 'after' ? after : before)?.publicId
        : shown[shown.indexOf(at) + (side === 'after' ? 1 : -1)]
    if (!there) return
    underWay.current = there
    // The end of the loaded list loads more.
    const show = shown.includes(there) ? search.show : search.show + FIRST_SHOWN
    void navigate(queuePath(shop, there, { ...search, show }))
  }
  const selectAndGo = (side: 'after' | 'before') => {
    selection.select(underWay.current ?? review.publicId)
    go(side)
  }
  const declineWhy = () => setGiving(possible.includes('decline'))
  const deciding = { enabled: single && !giving }
  useShortcut(actKeys.approve, () => plain('approve'), deciding)
  useShortcut(actKeys.decline, () => plain('decline'), deciding)
  useShortcut(`shift+${actKeys.decline}`, declineWhy, deciding)
  useShortcut(actKeys.spam, () => plain('spam'), deciding)
  useShortcut('down', () => go('after'))
  useShortcut('up', () => go('before'))
  useShortcut('space', () => selection.toggle(review.publicId))
  useShortcut('shift+down', () => selectAndGo('after'))
  useShortcut('shift+up', () => selectAndGo('before'))

  if (!single) return null
  return (
    <>
      {giving && (
        <DeclineReasons
          close={() => setGiving(false)}
          choose={(reason) => {
            setGiving(false)
            act({ kind: 'decline', reason })
          }}
        />
      )}
      <div
        id="actions"
        tabIndex={-1}
        className="sticky bottom-12 z-10 flex shrink-0 flex-wrap items-center gap-x-1.5 gap-y-0.5 border-t border-line bg-paper px-3 py-1 lg:static lg:h-[72px] lg:flex-nowrap lg:gap-2.5 lg:px-9"
      >
        {acts.map((one) => (
          <Fragment key={one}>
            <button
              type="button"
              data-likely={one === likely || undefined}
              className={`btn max-lg:h-9 max-lg:min-h-9 max-lg:px-2.5 ${one === likely ? filledActs[one] : 'btn-quiet'}`}
              disabled={!possible.includes(one)}
              aria-keyshortcuts={actKeys[one]}
              onClick={() => plain(one)}
            >
              {say(`act.${one}`)} <Key>{actKeys[one]}</Key>
            </button>
            {one === 'decline' && possible.includes(one) && (
              <button
                type="button"
                className="part order-1 min-h-6 text-[13px] whitespace-nowrap lg:order-none"
                aria-keyshortcuts="Shift+2"
                aria-expanded={giving}
                aria-label={say('decide.reason.why')}
                onClick={declineWhy}
              >
                {say('decide.reason.short')}
              </button>
            )}
          </Fragment>
        ))}
        <button
          type="button"
          className="btn btn-quiet max-lg:h-9 max-lg:min-h-9 max-lg:px-2.5"
          aria-keyshortcuts="4"
          onClick={reply}
        >
          {say('act.reply')} <Key>4</Key>
        </button>
        <UndoLast {...{ shop, lastAct, canUndo }} problem={problem || message}>
          {after?.authorName !== undefined ? (
            say('decide.next', { name: writerInSentence(after.authorName) })
          ) : nextLane ? (
            <Link to={queuePath(shop, null, { lane: nextLane.lane })} className="text-petrol underline">
              {say(`decide.nextLane.${nextLane.lane}`, { count: nextLane.count })}
            </Link>
          ) : (
            say('decide.last')
          )}
        </UndoLast>
      </div>
    </>
  )
}

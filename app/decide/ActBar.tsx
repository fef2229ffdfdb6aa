import { useState } from 'react'
import { useLetter } from '../components/useLetter'
import { useNavigate, useOutletContext } from 'react-router'
import { acts, stateAfter, type Act } from '../../core/moderation/likelyAct'
import { plainAct, type ReviewAct } from '../../core/moderation/reviewAct'
import type { ReviewState } from '../../core/moderation/rules'
import { say } from '../../core/words/say'
import { Key } from '../components/Key'
import { actLetters, filledActs } from './actLooks'
import { queuePath, type QueueSearch } from './address'
import { DeclineReasons } from './DeclineReasons'
import type { QueueContext } from './queue'
import { UndoLast, type LastAct } from './UndoLast'

interface Neighbour {
  publicId: string
  authorName?: string
}

/** The acts on the open review, by button and by key, the likely one first; what was done last, and what comes next. */
export function ActBar({
  shop,
  review,
  search,
  likely,
  neighbours: { after, before },
  lastAct,
  problem,
  act,
}: {
  shop: string
  review: { publicId: string; state: ReviewState }
  search: QueueSearch
  likely: Act | null
  neighbours: { after: Neighbour | null; before: Neighbour | null }
  lastAct: LastAct | null
  problem: string | undefined
  act: (act: ReviewAct) => void
}) {
  const navigate = useNavigate()
  const { ticks, shown, message } = useOutletContext<QueueContext>()
  const [giving, setGiving] = useState(false)
  const single = ticks.ticked.length === 0

  const possible = acts.filter((one) => stateAfter[one] !== review.state)
  const ordered = possible.toSorted((a, b) => Number(b === likely) - Number(a === likely))
  const plain = (one: Act) => {
    if (possible.includes(one)) act(plainAct(one))
  }
  const go = (neighbour: Neighbour | null) => {
    if (!neighbour) return
    // Going on past the end of what the list shows brings more of it.
    const show = shown.includes(neighbour.publicId) ? search.show : search.show + 50
    void navigate(queuePath(shop, neighbour.publicId, { ...search, show }))
  }
  const tickAndGo = (neighbour: Neighbour | null) => {
    ticks.tick(review.publicId)
    go(neighbour)
  }
  const declineWhy = () => setGiving(possible.includes('decline'))
  useLetter('a', () => plain('approve'), { enabled: single })
  useLetter('d', () => plain('decline'), { enabled: single })
  useLetter('shift+d', declineWhy, { enabled: single, preventDefault: true })
  useLetter('s', () => plain('spam'), { enabled: single })
  useLetter('j', () => go(after))
  useLetter('k', () => go(before))
  useLetter('x', () => ticks.toggle(review.publicId))
  useLetter('shift+x', ticks.tickAll)
  useLetter('shift+j', () => tickAndGo(after))
  useLetter('shift+k', () => tickAndGo(before))

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
      <div className="sticky bottom-16 z-10 flex min-h-[72px] shrink-0 flex-wrap items-center gap-2.5 border-t border-line bg-paper px-4 py-3 lg:static lg:px-9">
        {ordered.map((one) => (
          <button
            key={one}
            type="button"
            data-likely={one === likely || undefined}
            className={`btn ${one === likely ? filledActs[one] : 'btn-quiet'}`}
            aria-keyshortcuts={actLetters[one].toLowerCase()}
            onClick={() => plain(one)}
          >
            {say(`act.${one}`)} <Key>{actLetters[one]}</Key>
          </button>
        ))}
        {possible.includes('decline') && (
          <button
            type="button"
            className="part min-h-6 text-[13px]"
            aria-keyshortcuts="shift+d"
            aria-expanded={giving}
            onClick={declineWhy}
          >
            {say('decide.reason.why')}
          </button>
        )}
        <span className="ml-1 text-[13px] text-soft">
          {after?.authorName ? say('decide.next', { name: after.authorName }) : say('decide.last')}
        </span>
        <UndoLast shop={shop} lastAct={lastAct} problem={problem || message} />
      </div>
    </>
  )
}

import { useHotkeys } from 'react-hotkeys-hook'
import { useFetcher, useNavigate } from 'react-router'
import { acts, stateAfter, type Act } from '../../core/moderation/likelyAct'
import type { ReviewState } from '../../core/moderation/rules'
import { say } from '../../core/words/say'
import { Key } from '../components/Key'
import { queuePath, type QueueSearch } from './address'
import { UndoLast, type LastAct } from './UndoLast'

const letters: Record<Act, string> = { approve: 'A', decline: 'D', spam: 'S' }
const filled: Record<Act, string> = {
  approve: 'bg-moss text-white border-moss',
  decline: 'bg-soft text-white border-soft',
  spam: 'bg-plum text-white border-plum',
}

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
}: {
  shop: string
  review: { publicId: string; revision: number; state: ReviewState }
  search: QueueSearch
  likely: Act | null
  neighbours: { after: Neighbour | null; before: Neighbour | null }
  lastAct: LastAct | null
}) {
  const fetcher = useFetcher<{ problem: string }>()
  const navigate = useNavigate()
  const here = queuePath(shop, review.publicId, search)

  const possible = acts.filter((act) => stateAfter[act] !== review.state)
  const ordered = possible.toSorted((a, b) => Number(b === likely) - Number(a === likely))

  const act = (chosen: Act) => {
    if (fetcher.state !== 'idle' || !possible.includes(chosen)) return
    void fetcher.submit({ act: chosen, revision: review.revision }, { method: 'post', action: here })
  }
  const go = (neighbour: Neighbour | null) => {
    if (neighbour) void navigate(queuePath(shop, neighbour.publicId, search))
  }
  useHotkeys('a', () => act('approve'))
  useHotkeys('d', () => act('decline'))
  useHotkeys('s', () => act('spam'))
  useHotkeys('j', () => go(after))
  useHotkeys('k', () => go(before))

  return (
    <div className="flex min-h-[72px] shrink-0 flex-wrap items-center gap-2.5 border-t border-line bg-paper px-9 py-3">
      {ordered.map((one) => (
        <button
          key={one}
          type="button"
          className={`btn ${one === likely ? filled[one] : 'btn-quiet'}`}
          aria-keyshortcuts={letters[one].toLowerCase()}
          onClick={() => act(one)}
        >
          {say(`act.${one}`)} <Key>{letters[one]}</Key>
        </button>
      ))}
      <span className="ml-1 text-[13px] text-soft">
        {after?.authorName ? say('decide.next', { name: after.authorName }) : say('decide.last')}
      </span>
      <UndoLast shop={shop} lastAct={lastAct} problem={fetcher.data?.problem} />
    </div>
  )
}

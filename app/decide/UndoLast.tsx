import type { ReactNode } from 'react'
import { writerInSentence } from '../../core/messages/writerName'
import { useUndoShortcut } from '../components/useShortcut'
import { useFetcher } from 'react-router'
import type { ReviewState } from '../../core/moderation/rules'
import { say } from '../../core/messages/say/decide'

export interface LastAct {
  number: number
  act: string
  authorName: string
  state: ReviewState
  count: number
}

/** The last decision, announced to screen readers, with its undo. */
export function UndoLast({
  shop,
  lastAct,
  canUndo,
  problem,
  children,
}: {
  shop: string
  lastAct: LastAct | null
  canUndo: boolean
  problem?: string
  /** What comes next; not on a phone. */
  children?: ReactNode
}) {
  const fetcher = useFetcher<{ problem: string; passing?: string }>()
  const undo = () => {
    if (fetcher.state !== 'idle') return
    const passing = fetcher.data?.passing ?? ''
    void fetcher.submit({ passing }, { method: 'post', action: `/s/${shop}/decide/undo` })
  }
  useUndoShortcut(undo)
  const wrong = fetcher.data?.problem || problem
  const done = lastAct ? doneWords(lastAct) : ''
  const words = wrong || done
  return (
    <span className="order-2 ml-auto flex min-w-0 flex-1 items-center justify-end gap-3 lg:order-none lg:ml-1">
      <span className="flex min-w-0 flex-1 flex-col text-[13px] leading-[18px]">
        <span
          role="status"
          title={words}
          className={`max-lg:text-right ${wrong ? 'font-semibold text-plum lg:line-clamp-3' : 'lg:line-clamp-2'}`}
        >
          {words}
        </span>
        <span className="truncate text-soft max-lg:hidden">{!wrong && children}</span>
      </span>
      <button
        type="button"
        className="btn btn-quiet max-lg:h-6 max-lg:min-h-6"
        title={canUndo && done ? say('act.undoThat', { done }) : undefined}
        disabled={!canUndo}
        aria-keyshortcuts="Control+Z Meta+Z"
        onClick={undo}
      >
        {say('act.undo')}
      </button>
    </span>
  )
}

function doneWords({ act, authorName, state, count }: LastAct): string {
  const words = { name: writerInSentence(authorName), state: say(`state.${state}`).toLowerCase() }
  if (count > 1 && isManyAct(act)) return say(`decide.doneMany.${act}`, { count })
  return isSaidAct(act) ? say(`decide.done.${act}`, words) : ''
}

const manyActs = ['approve', 'decline', 'spam', 'undo', 'move', 'tag', 'untag'] as const
const saidActs = [
  ...manyActs,
  'reason',
  'reply',
  'unreply',
  'hidePhoto',
  'showPhoto',
  'vouch',
  'unvouch',
  'correct',
] as const
const isManyAct = (act: string): act is (typeof manyActs)[number] => manyActs.some((one) => one === act)
const isSaidAct = (act: string): act is (typeof saidActs)[number] => saidActs.some((one) => one === act)

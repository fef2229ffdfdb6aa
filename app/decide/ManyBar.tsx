import { ProductSelect } from '../components/ProductSelect'
import { TagInput } from '../components/TagInput'
import type { ProductChoices } from '../../server/collection/productChoices'
import { useEffect, useRef } from 'react'
import { useShortcut } from '../components/useShortcut'
import { useFetcher, useNavigate } from 'react-router'
import { acts, stateAfter, type Act } from '../../core/moderation/likelyAct'
import { plainAct, type ReviewAct } from '../../core/moderation/reviewAct'
import type { ReviewState } from '../../core/moderation/rules'
import { say } from '../../core/messages/say/decide'
import { Key } from '../components/Key'
import { actKeys, filledActs } from './actLooks'
import { queuePath, queueQuery, type QueueSearch } from './address'
import type { Selection } from './useSelection'

const ALL_AT_ONCE = 2000

interface Answer {
  many?: { done: number; conflicts: number }
  problem?: string
}

/** Actions on the selected reviews. */
export function ManyBar({
  shop,
  search,
  selection,
  total,
  totalIsLeast,
  at,
  products,
  tags,
  setMessage,
}: {
  shop: string
  search: QueueSearch & { lane: ReviewState }
  selection: Selection
  total: number
  /** Whether there may be more than the count. */
  totalIsLeast: boolean
  /** When the list was read; later arrivals are left out. */
  at: string
  products: ProductChoices
  tags: string[]
  setMessage: (message: string) => void
}) {
  const fetcher = useFetcher<Answer>()
  const navigate = useNavigate()
  const busy = fetcher.state !== 'idle'
  const count = selection.all ? Math.min(total, ALL_AT_ONCE) : selection.selected.length
  const said = { count, replace: { count: selection.all && totalIsLeast ? `${count}+` : String(count) } }
  const filter = queueQuery({ ...search, show: undefined })

  const answered = useRef<Answer | undefined>(undefined)
  useEffect(() => {
    if (!fetcher.data || fetcher.data === answered.current) return
    answered.current = fetcher.data
    const { many, problem } = fetcher.data
    if (problem) return setMessage(problem)
    if (!many) return
    setMessage(many.conflicts > 0 ? say('decide.many.left', { count: many.conflicts }) : '')
    selection.clear()
    void navigate(queuePath(shop, null, search), { replace: true })
  }, [fetcher.data, navigate, search, setMessage, shop, selection])

  const act = (chosen: ReviewAct) => {
    if (busy) return
    const ids = selection.all
      ? ''
      : selection.selected.map(({ publicId, revision }) => `${publicId}:${revision}`).join(',')
    void fetcher.submit(
      { act: JSON.stringify(chosen), ids, at },
      { method: 'post', action: `/s/${shop}/decide/many?${filter}` },
    )
  }
  const possible = acts.filter((one) => stateAfter[one] !== search.lane)
  const plain = (one: Act) => possible.includes(one) && act(plainAct(one))
  useShortcut(actKeys.approve, () => void plain('approve'))
  useShortcut(actKeys.decline, () => void plain('decline'))
  useShortcut(actKeys.spam, () => void plain('spam'))
  useShortcut('escape', selection.clear)

  return (
    <div
      className="sticky bottom-12 z-10 flex min-h-[64px] shrink-0 flex-wrap items-center gap-2.5 border-t-[3px] border-petrol bg-paper px-4 py-3 lg:static lg:px-6"
      data-many={count}
    >
      <b className="font-semibold" role="status">
        {busy
          ? say('decide.many.working', said)
          : selection.all
            ? say('decide.many.allTicked', said)
            : say('decide.many.selected', said)}
      </b>
      {!selection.all && total > selection.selected.length && (
        <button type="button" className="part" onClick={selection.selectAll}>
          {total > ALL_AT_ONCE
            ? say('decide.many.allFirst', { count: ALL_AT_ONCE })
            : say('decide.many.all', {
                count: total,
                replace: { count: totalIsLeast ? `${total}+` : String(total) },
              })}
        </button>
      )}
      <button type="button" className="part" onClick={selection.clear}>
        {say('decide.many.clear')}
      </button>
      <span className="mx-2 h-6 border-l border-line" aria-hidden="true" />
      {acts.map((one) => (
        <button
          key={one}
          type="button"
          disabled={busy || !possible.includes(one)}
          className={`btn ${one === 'approve' && possible.includes(one) ? filledActs.approve : 'btn-quiet'}`}
          aria-keyshortcuts={actKeys[one]}
          onClick={() => plain(one)}
        >
          {say(`act.${one}Many`, said)} <Key>{actKeys[one]}</Key>
        </button>
      ))}
      <form
        className="flex items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          const tag = String(new FormData(event.currentTarget).get('tag') ?? '').trim()
          if (tag) act({ kind: 'tag', tag })
        }}
      >
        <TagInput
          name="tag"
          tags={tags}
          maxLength={40}
          aria-label={say('decide.many.tag')}
          placeholder={say('decide.many.tag')}
          className="input h-10 w-40 border-edge"
        />
      </form>
      <ProductSelect
        aria-label={say('decide.many.move')}
        choices={products}
        value="?"
        placeholder={say('decide.many.move')}
        none={say('decide.shopWhole')}
        disabled={busy}
        choose={(product) => act({ kind: 'move', product })}
        className="h-10 w-44"
      />
    </div>
  )
}

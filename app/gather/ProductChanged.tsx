import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/products'
import type { ProductsView } from '../../server/collection/productViews'
import type { ProductAnswer } from './productAnswers'

type Change = ProductsView['changes'][number] & { when: string }

const RECENT_MS = 3_600_000

/** What was changed last, with its undo; earlier changes are folded. */
export function ProductChanged({ changes, now }: { changes: Change[]; now: string }) {
  const fetcher = useFetcher<ProductAnswer>()
  const answer = fetcher.data
  const isRecent = ({ at }: Change) => Date.parse(now) - Date.parse(at) < RECENT_MS
  const latest = changes[0] && isRecent(changes[0]) ? changes[0] : null
  const earlier = latest ? changes.slice(1) : changes
  const undo = ({ publicId }: Change) => (
    <fetcher.Form method="post">
      <input type="hidden" name="intent" value="undo" />
      <button name="change" value={publicId} className="btn btn-quiet">
        {say('products.undo')}
      </button>
    </fetcher.Form>
  )
  const wording = ({ kind, title, into }: Change) => say(`products.done.${kind}`, { title, into })
  return (
    <>
      <div role="status" className="mt-4 px-[18px] empty:mt-0">
        {answer && 'problem' in answer && <p className="font-semibold text-plum">{answer.problem}</p>}
        {answer && 'done' in answer && <p className="font-semibold text-moss">{answer.done}</p>}
        {latest && (
          <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
            <span className="min-w-0 font-semibold break-words text-moss">{wording(latest)}</span>
            {undo(latest)}
          </div>
        )}
      </div>
      {earlier.length > 0 && (
        <details className="mt-3 px-[18px]">
          <summary className="min-h-6 cursor-pointer font-semibold text-petrol">
            {say('products.latest')}
          </summary>
          <ol className="divide-y divide-line">
            {earlier.map((change) => (
              <li key={change.publicId} className="flex flex-wrap items-center gap-x-4 py-2">
                <span className="min-w-0 flex-1 basis-52 break-words">{wording(change)}</span>
                <span className="text-soft">{change.when}</span>
                {undo(change)}
              </li>
            ))}
          </ol>
        </details>
      )}
    </>
  )
}

import { X } from 'lucide-react'
import { useRef } from 'react'
import { useShortcut } from '../components/useShortcut'
import type { ReviewAct } from '../../core/moderation/reviewAct'
import { BODY_LIMIT } from '../../core/intake/limits'
import { say } from '../../core/messages/say/decide'
import { useNoteOrDraft } from './useNoteOrDraft'

/** Product, tags and note of a review. */
export function Filing({
  address,
  review,
  tags,
  products,
  known,
  act,
}: {
  address: string
  review: { productTitle: string | null; productId: number | null; note: string }
  tags: string[]
  products: { id: number; sku: string; title: string }[]
  known: string[]
  act: (act: ReviewAct) => void
}) {
  const product = useRef<HTMLSelectElement>(null)
  const tag = useRef<HTMLInputElement>(null)
  const noteField = useRef<HTMLTextAreaElement>(null)
  const note = useNoteOrDraft(address, 'note', review.note)
  useShortcut('5', () => product.current?.focus())
  useShortcut('6', () => tag.current?.focus())
  useShortcut('7', () => noteField.current?.focus())
  const sku = products.find(({ id }) => id === review.productId)?.sku ?? ''
  return (
    <section
      className="panel grid gap-x-6 gap-y-4 px-5 py-4 sm:grid-cols-3"
      aria-label={say('decide.product')}
    >
      <label className="flex min-w-0 flex-col gap-1">
        <span className="text-[13px] text-soft">{say('decide.product')}</span>
        <select
          ref={product}
          name="product"
          value={sku}
          className="select w-full border-edge"
          onChange={(event) => act({ kind: 'move', product: event.currentTarget.value })}
          onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
        >
          <option value="">{say('decide.shopWhole')}</option>
          {products.map(({ sku: one, title }) => (
            <option key={one} value={one}>
              {title}
            </option>
          ))}
        </select>
      </label>
      <form
        className="flex min-w-0 flex-col gap-1"
        onSubmit={(event) => {
          event.preventDefault()
          const name = tag.current?.value.trim()
          if (!name || !tag.current) return
          act({ kind: 'tag', tag: name })
          tag.current.value = ''
        }}
      >
        <label htmlFor="tag" className="text-[13px] text-soft">
          {say('decide.tags.name')}
        </label>
        <input
          ref={tag}
          id="tag"
          name="tag"
          list="known-tags"
          maxLength={40}
          placeholder={say('decide.tags.add')}
          autoComplete="off"
          className="input w-full border-edge"
          onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
        />
        <datalist id="known-tags">
          {known.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        <ul className="flex flex-wrap gap-1.5">
          {tags.map((name) => (
            <li key={name} className="chip">
              #{name}
              <button
                type="button"
                className="ml-1 grid size-6 cursor-pointer place-items-center"
                aria-label={say('decide.tags.remove', { name })}
                onClick={() => act({ kind: 'untag', tag: name })}
              >
                <X className="size-3.5" aria-hidden="true" />
              </button>
            </li>
          ))}
        </ul>
      </form>
      <label className="flex min-w-0 flex-col gap-1">
        <span className="flex justify-between gap-2 text-[13px] text-soft">
          {say('decide.note.name')}
          <span role="status">{note.isKept && say('decide.note.kept')}</span>
        </span>
        <textarea
          ref={noteField}
          name="note"
          rows={1}
          maxLength={BODY_LIMIT}
          value={note.text}
          placeholder={say('decide.note.hint')}
          className="textarea field-sizing-content max-h-40 min-h-10 w-full border-edge"
          onChange={(event) => note.type(event.currentTarget.value)}
          onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
        />
      </label>
    </section>
  )
}

import { ProductSelect } from '../components/ProductSelect'
import { TagInput } from '../components/TagInput'
import type { ProductChoices } from '../../server/collection/productChoices'
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
  review: { productTitle: string | null; productSku: string | null; note: string }
  tags: string[]
  products: ProductChoices
  known: string[]
  act: (act: ReviewAct) => void
}) {
  const product = useRef<HTMLSelectElement & HTMLInputElement>(null)
  const tag = useRef<HTMLInputElement>(null)
  const noteField = useRef<HTMLTextAreaElement>(null)
  const note = useNoteOrDraft(address, 'note', review.note)
  useShortcut('5', () => product.current?.focus())
  useShortcut('6', () => tag.current?.focus())
  useShortcut('7', () => noteField.current?.focus())
  return (
    <section
      className="panel grid gap-x-6 gap-y-4 px-5 py-4 sm:grid-cols-3"
      aria-label={say('decide.product')}
    >
      <label className="flex min-w-0 flex-col gap-1">
        <span className="text-[13px] text-soft">{say('decide.product')}</span>
        <ProductSelect
          fieldRef={product}
          name="product"
          choices={products}
          value={review.productSku ?? ''}
          none={say('decide.shopWhole')}
          choose={(sku) => act({ kind: 'move', product: sku })}
          className="w-full"
        />
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
        <TagInput
          ref={tag}
          id="tag"
          name="tag"
          tags={known}
          maxLength={40}
          placeholder={say('decide.tags.add')}
          className="input w-full border-edge"
          onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
        />
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

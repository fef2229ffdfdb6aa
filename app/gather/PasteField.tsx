import { useState } from 'react'
import type { ReadReview } from '../../core/intake/text/readText'
import { say } from '../../core/messages/say/write'

const tones = {
  name: 'bg-slate/18 decoration-slate',
  rating: 'bg-apricot/18 decoration-apricot',
  date: 'bg-ochre/18 decoration-ochre',
  words: 'bg-moss/15 decoration-moss',
}
type Sort = keyof typeof tones

/** The field for a whole message. The recognised parts are marked under it. */
export function PasteField({
  pasted,
  current,
  count,
  at,
  paste,
}: {
  pasted: string
  current: ReadReview | null
  count: number
  at: number
  paste: (text: string) => void
}) {
  if (!pasted.trim()) return <Field paste={paste} />
  return (
    <section aria-labelledby="found">
      <div className="flex items-baseline justify-between gap-4 pb-2" role="status">
        <h2 id="found" className="font-semibold">
          {count === 0
            ? say('write.foundNone')
            : count === 1
              ? say('write.foundOne')
              : say('write.foundSeveral', { count, at: at + 1 })}
        </h2>
        <button type="button" className="part shrink-0" onClick={() => paste('')}>
          {say('write.again')}
        </button>
      </div>
      <div className="panel customer-words px-4 py-3 text-[16px] break-words whitespace-pre-line" dir="auto">
        {runs(pasted, current).map(({ text, sort }, i) =>
          sort === null ? (
            <span key={i} className={current ? 'text-soft' : ''}>
              {text}
            </span>
          ) : (
            <mark
              key={i}
              className={`rounded-[3px] box-decoration-clone text-inherit underline underline-offset-4 ${tones[sort]}`}
            >
              {text}
            </mark>
          ),
        )}
      </div>
      {current && (
        <ul className="mt-2 flex flex-wrap gap-3 text-[13px] text-soft" aria-hidden="true">
          {foundSorts(current).map((sort) => (
            <li key={sort} className={`rounded-[3px] px-1 underline underline-offset-4 ${tones[sort]}`}>
              {say(`write.mark.${sort}`)}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

function foundSorts({ places }: ReadReview): Sort[] {
  const found: Record<Sort, boolean> = {
    name: places.authorName !== null,
    rating: places.rating !== null,
    date: places.writtenAt !== null,
    words: places.body.length > 0,
  }
  return (Object.keys(tones) as Sort[]).filter((sort) => found[sort])
}

/** A paste is read at once; typed text waits for the button. */
function Field({ paste }: { paste: (text: string) => void }) {
  const [typed, setTyped] = useState('')
  return (
    <>
      <label className="block">
        <span className="flex justify-between pb-1">
          <b className="font-semibold">{say('write.paste')}</b>
          <span className="text-soft">{say('write.pasteHint')}</span>
        </span>
        <textarea
          name="pasted"
          rows={9}
          autoFocus
          className="textarea w-full border-edge text-[15px]"
          placeholder={say('write.example')}
          value={typed}
          onChange={(event) => setTyped(event.currentTarget.value)}
          onPaste={(event) => {
            const text = event.clipboardData.getData('text/plain')
            if (typed.trim() || !text.trim()) return
            event.preventDefault()
            paste(text)
          }}
        />
      </label>
      {typed.trim() && (
        <button type="button" className="btn btn-quiet mt-2" onClick={() => paste(typed)}>
          {say('gather.take')}
        </button>
      )}
    </>
  )
}

/** The text split at the recognised parts. A rating within the review's text is marked as a rating. */
function runs(text: string, found: ReadReview | null): { text: string; sort: Sort | null }[] {
  if (!found) return [{ text, sort: null }]
  const { authorName, rating, writtenAt, body } = found.places
  const sortAt = (index: number): Sort | null => {
    const holds = (place: { start: number; end: number } | null) =>
      place !== null && place.start <= index && index < place.end
    if (holds(authorName)) return 'name'
    if (holds(rating)) return 'rating'
    if (holds(writtenAt)) return 'date'
    return body.some(holds) ? 'words' : null
  }
  const ends = [authorName, rating, writtenAt, ...body].flatMap((place) =>
    place ? [place.start, place.end] : [],
  )
  const cuts = [...new Set([0, text.length, ...ends])].sort((a, b) => a - b)
  return cuts.slice(1).map((end, i) => ({ text: text.slice(cuts[i]!, end), sort: sortAt(cuts[i]!) }))
}

import { writerName } from '../../core/messages/writerName'
import { Check } from 'lucide-react'
import type { ReadReview } from '../../core/intake/text/readText'
import { say } from '../../core/messages/say/write'

/** The reviews found in one text; each can be opened before it is saved. */
export function FoundList({
  found,
  at,
  saved,
  open,
}: {
  found: ReadReview[]
  at: number
  saved: number[]
  open: (at: number) => void
}) {
  return (
    <ol className="mb-5 flex max-h-48 flex-col gap-1 overflow-y-auto" aria-label={say('write.foundList')}>
      {found.map(({ authorName, body, rating }, i) => (
        <li key={i}>
          <button
            type="button"
            disabled={saved.includes(i)}
            aria-current={i === at || undefined}
            className="flex min-h-8 w-full cursor-pointer items-center gap-2 rounded-lg border border-line px-3 py-1 text-left disabled:cursor-default disabled:text-soft aria-current:border-petrol aria-current:bg-tint"
            onClick={() => open(i)}
          >
            <span className="w-5 shrink-0 tabular-nums text-soft">
              {saved.includes(i) ? <Check className="size-4" aria-label={say('write.foundSaved')} /> : i + 1}
            </span>
            <b className="max-w-[40%] shrink-0 truncate font-semibold">{writerName(authorName ?? '')}</b>
            {rating && <span className="shrink-0 font-semibold">{rating.hundredths / 100}</span>}
            <span className="customer-words min-w-0 flex-1 truncate">{body}</span>
          </button>
        </li>
      ))}
    </ol>
  )
}

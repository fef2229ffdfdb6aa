import { useEffect, useState } from 'react'
import { useFetcher, useNavigate } from 'react-router'
import { say } from '../../core/messages/say/gather'
import type { loader } from './understand'
import { UnderstoodLine } from './UnderstoodLine'

const TYPING_MS = 300
const MAX_TEXT = 400

/** The field for anything: an address, id or name of a listing, or a message of a customer. */
export function AnythingField({
  shop,
  isOwner,
  isFirst,
  hasSites,
}: {
  shop: string
  isOwner: boolean
  /** Whether nothing has come yet, so that this is what to do next. */
  isFirst: boolean
  /** Whether names of businesses can be looked up. */
  hasSites: boolean
}) {
  const [text, setText] = useState('')
  const navigate = useNavigate()
  const fetcher = useFetcher<typeof loader>()
  const typed = text.trim()
  const isLine = isOwner && typed.length >= 3 && typed.length <= MAX_TEXT && !typed.includes('\n')
  const { load } = fetcher
  useEffect(() => {
    if (!isLine) return
    const timer = setTimeout(
      () => void load(`/s/${shop}/gather/understand?text=${encodeURIComponent(typed)}`),
      TYPING_MS,
    )
    return () => clearTimeout(timer)
  }, [isLine, typed, shop, load])
  const answer = isLine && fetcher.data && typed.startsWith(fetcher.data.text) ? fetcher.data : null
  const isListing = answer !== null && answer.understood.kind !== 'message'
  const write = (words: string) => void navigate(`/s/${shop}/gather/write`, { state: words })
  const hint = say(!isOwner ? 'gather.paste' : hasSites ? 'gather.pasteAnything' : 'gather.pasteHere')
  return (
    <div className="panel mt-4 border-petrol px-[18px] py-4">
      <label>
        <span className="sr-only">{hint}</span>
        <textarea
          rows={2}
          value={text}
          placeholder={hint}
          className="field-sizing-content min-h-14 w-full resize-none text-[17px] outline-none placeholder:text-soft"
          onChange={(event) => setText(event.currentTarget.value)}
          onPaste={(event) => {
            const pasted = event.clipboardData.getData('text/plain')
            const isMessage = pasted.trim().includes('\n') || pasted.trim().length > MAX_TEXT || !isOwner
            if (typed || !pasted.trim() || !isMessage) return
            event.preventDefault()
            write(pasted)
          }}
        />
      </label>
      <div role="status">
        {answer && <UnderstoodLine shop={shop} understood={answer.understood} sites={answer.sites} />}
      </div>
      {!(isListing && answer.understood.kind === 'described') && (
        <div className="mt-2 flex justify-end">
          <button
            type="button"
            className={`btn ${isFirst || typed ? 'btn-primary' : 'btn-quiet'}`}
            onClick={() => write(text)}
          >
            {typed ? say('gather.take') : say('gather.add')}
          </button>
        </div>
      )}
    </div>
  )
}

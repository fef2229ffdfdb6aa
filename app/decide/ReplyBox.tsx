import { useEffect, useRef, useState, type RefObject } from 'react'
import { useShortcut } from '../components/useShortcut'
import { useFetcher } from 'react-router'
import type { ReviewAct } from '../../core/moderation/reviewAct'
import { BODY_LIMIT } from '../../core/intake/limits'
import { say } from '../../core/messages/say/decide'
import { Key } from '../components/Key'
import { useNoteOrDraft } from './useNoteOrDraft'

/** The shop's public reply: draft, post, change, delete. */
export function ReplyBox({
  address,
  review,
  posted,
  replyName,
  replyWhen,
  writeRef,
  act,
}: {
  /** The address that saves the draft. */
  address: string
  review: {
    reply: { name: string; body: string } | null
    replyDraft: string
    needsReply: boolean
    showable: boolean
    state: string
  }
  /** Where it was written, if that is another site. */
  posted: { site: string; url: string } | null
  replyName: string
  replyWhen: string
  /** Gets the function that opens the field. */
  writeRef: RefObject<() => void>
  act: (act: ReviewAct) => void
}) {
  const { reply } = review
  const [editing, setEditing] = useState(review.replyDraft !== '')
  const [seen, setSeen] = useState(reply?.body)
  const draft = useNoteOrDraft(address, 'replyDraft', review.replyDraft)
  const field = useRef<HTMLTextAreaElement>(null)
  const forget = useFetcher()
  // After posting or deleting, the saved reply is shown and the field is empty.
  if (seen !== reply?.body) {
    setSeen(reply?.body)
    setEditing(reply === null && review.replyDraft !== '')
    draft.put(review.replyDraft)
  }
  const write = () => {
    if (reply && draft.text === '') draft.put(reply.body)
    setEditing(true)
    setTimeout(() => field.current?.focus())
  }
  useShortcut('4', write)
  useEffect(() => {
    writeRef.current = write
  })
  const post = () => {
    if (draft.text.trim()) act({ kind: 'reply', reply: draft.text })
  }
  return (
    <section className="panel px-5 py-4" aria-labelledby="reply">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 id="reply" className="font-semibold">
          {reply
            ? say('decide.reply.posted', { when: replyWhen })
            : say(posted ? 'decide.reply.nameHere' : 'decide.reply.name', { name: replyName })}
        </h2>
        <p className="text-[13px] text-soft">
          {posted && (
            <>
              {say('decide.reply.onlyHere')}{' '}
              {posted.url && (
                <a href={posted.url} target="_blank" rel="noreferrer" className="part">
                  {say('decide.reply.there', { site: posted.site })}
                </a>
              )}{' '}
            </>
          )}
          {(!posted || !review.showable || review.state !== 'approved') &&
            say(
              !review.showable
                ? 'decide.reply.never'
                : review.state === 'approved'
                  ? 'decide.reply.hint'
                  : 'decide.reply.notYet',
            )}
        </p>
      </div>
      {review.needsReply && review.showable && !editing && (
        <p className="mt-1 text-ochre">{say('decide.reply.needsReply')}</p>
      )}
      {reply && !editing && (
        <>
          <p className="mt-1 whitespace-pre-line">{reply.body}</p>
          <p className="mt-2 flex gap-2">
            <button type="button" className="btn btn-quiet" aria-keyshortcuts="4" onClick={write}>
              {say('decide.reply.edit')} <Key>4</Key>
            </button>
            <button type="button" className="btn btn-quiet" onClick={() => act({ kind: 'unreply' })}>
              {say('decide.reply.takeBack')}
            </button>
          </p>
        </>
      )}
      {!reply && !editing && (
        <button type="button" className="btn btn-quiet mt-2" aria-keyshortcuts="4" onClick={write}>
          {say('decide.reply.write')} <Key>4</Key>
        </button>
      )}
      {editing && (
        <div className="mt-2 flex flex-col gap-2">
          <textarea
            ref={field}
            name="reply"
            aria-labelledby="reply"
            rows={3}
            maxLength={BODY_LIMIT}
            value={draft.text}
            placeholder={say('decide.reply.placeholder')}
            className="textarea field-sizing-content max-h-72 min-h-20 w-full border-edge text-[15px]"
            onChange={(event) => draft.type(event.currentTarget.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) post()
              if (event.key === 'Escape') event.currentTarget.blur()
            }}
          />
          <p className="flex flex-wrap items-center gap-2">
            <button type="button" className="btn btn-primary" disabled={!draft.text.trim()} onClick={post}>
              {say(reply ? 'decide.reply.postAgain' : 'decide.reply.post')}
            </button>
            {reply && (
              <button
                type="button"
                className="btn btn-quiet"
                onClick={() => {
                  setEditing(false)
                  draft.put('')
                  void forget.submit({ what: 'replyDraft', text: '' }, { method: 'post', action: address })
                }}
              >
                {say('decide.reply.cancel')}
              </button>
            )}
            <span role="status" className="text-[13px] text-soft">
              {draft.isKept && draft.text !== '' && say('decide.reply.kept')}
            </span>
          </p>
        </div>
      )}
    </section>
  )
}

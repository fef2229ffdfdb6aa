import { useEffect, useRef } from 'react'
import { REASON_LIMIT } from '../../core/moderation/reviewAct'
import { messageCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/decide'
import { declineReasons, storedReason } from './declineReason'

/**
 * The reason that the customer reads. A suggested one is stored as a code, so that she reads it in her
 * language.
 */
export function DeclineReasons({ choose, close }: { choose: (reason: string) => void; close: () => void }) {
  const first = useRef<HTMLButtonElement>(null)
  useEffect(() => first.current?.focus(), [])
  return (
    <form
      role="group"
      aria-label={say('decide.reason.why')}
      className="flex flex-wrap items-center gap-2 border-t border-line bg-paper px-9 py-3"
      onSubmit={(event) => {
        event.preventDefault()
        choose(storedReason(String(new FormData(event.currentTarget).get('reason') ?? '')))
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') close()
        const preset = declineReasons[Number(event.key) - 1]
        if (preset && !(event.target instanceof HTMLInputElement))
          choose(messageCode(`declineReason.${preset}`))
      }}
    >
      {declineReasons.map((preset, i) => (
        <button
          key={preset}
          ref={i === 0 ? first : undefined}
          type="button"
          className="rounded-lg border border-edge px-3 py-1.5 hover:bg-wash"
          onClick={() => choose(messageCode(`declineReason.${preset}`))}
        >
          <span className="mr-1.5 text-soft">{i + 1}</span>
          {say(`declineReason.${preset}`)}
        </button>
      ))}
      <input
        name="reason"
        maxLength={REASON_LIMIT}
        required
        aria-label={say('decide.reason.own')}
        placeholder={say('decide.reason.own')}
        autoComplete="off"
        className="input h-10 min-w-56 flex-1 border-edge"
      />
      <span className="text-[13px] text-soft">{say('decide.reason.hint')}</span>
    </form>
  )
}

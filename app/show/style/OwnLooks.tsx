import { useEffect, useState } from 'react'
import { useFetcher } from 'react-router'
import { isReadyLook } from '../../../core/display/looks'
import { say } from '../../../core/messages/say/style'
import type { StyleProps } from './styleProps'

/** Saves the style as a look of the shop's own, removes it, and sets what new displays start with. */
export function OwnLooks({ draft, view, change }: StyleProps) {
  const saving = useFetcher<{ look: string | null }>()
  const removing = useFetcher()
  const starting = useFetcher()
  const [typing, setTyping] = useState(false)
  const [removed, setRemoved] = useState<{ look: string; name: string } | null>(null)
  const { theme } = draft
  const saved = saving.data?.look ?? null
  useEffect(() => {
    if (saved) change({ ...draft, theme: { ...theme, look: saved } })
    // Once for each saved look.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [saved])
  const own = isReadyLook(theme.look)
    ? null
    : (view.ownLooks.find(({ publicId }) => publicId === theme.look) ?? null)
  const post = (fetcher: typeof removing, fields: Record<string, string>) =>
    void fetcher.submit(fields, { method: 'post' })
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
      {typing ? (
        <saving.Form method="post" className="flex items-center gap-2" onSubmit={() => setTyping(false)}>
          <input type="hidden" name="intent" value="saveLook" />
          <input type="hidden" name="theme" value={JSON.stringify(theme)} />
          <input
            name="name"
            required
            maxLength={60}
            autoFocus
            aria-label={say('style.lookName')}
            placeholder={say('style.lookPlaceholder')}
            className="input input-sm w-44 border-edge text-ink"
          />
          <button className="btn btn-quiet btn-low">{say('style.save')}</button>
          <span className="text-soft">{say('show.onlyYou')}</span>
        </saving.Form>
      ) : (
        <button type="button" className="part min-h-6" onClick={() => setTyping(true)}>
          {say('style.saveLook')}
        </button>
      )}
      {saving.data?.look === null && (
        <span role="alert" className="font-semibold text-plum">
          {say('style.tooMany')}
        </span>
      )}
      {own && (
        <button
          type="button"
          className="part min-h-6"
          onClick={() => {
            setRemoved({ look: own.publicId, name: own.name })
            post(removing, { intent: 'removeLook', look: own.publicId })
          }}
        >
          {say('style.removeLook', { name: own.name })}
        </button>
      )}
      {removed && !own && (
        <span role="status">
          {say('style.removed', { name: removed.name })}{' '}
          <button
            type="button"
            className="part min-h-6"
            onClick={() => {
              post(removing, { intent: 'restoreLook', look: removed.look })
              setRemoved(null)
            }}
          >
            {say('style.putBack')}
          </button>
        </span>
      )}
      {view.isStart ? (
        <span className="text-soft">{say('style.startsWith')}</span>
      ) : (
        <button
          type="button"
          className="part min-h-6"
          onClick={() => post(starting, { intent: 'startLike', theme: JSON.stringify(theme) })}
        >
          {say('style.startWith')}
        </button>
      )}
    </div>
  )
}

import { useEffect, useRef } from 'react'
import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/show'
import type { EditorView } from '../../server/publishing/editorView'
import type { PickedLine } from '../../server/publishing/pickedLine'
import { Panel } from './Panel'

/** Publishes the draft: the first time at once, later after listing the changes. */
export function PublishPanel({
  view,
  open,
  setOpen,
  firstPublished,
}: {
  view: EditorView & { liveAt: string | null }
  open: boolean
  setOpen: (on: boolean) => void
  /** Called when this page has published the display for the first time. */
  firstPublished: () => void
}) {
  const live = useFetcher<{ problem: string } | null>()
  const discard = useFetcher<{ problem: string } | null>()
  const problem = live.data?.problem ?? discard.data?.problem
  const first = view.live === null
  const count = view.changes.length
  const nothing = !first && count === 0
  const publishing = useRef(false)
  useEffect(() => {
    if (!publishing.current || first) return
    publishing.current = false
    firstPublished()
  }, [first, firstPublished])
  return (
    <>
      {problem && (
        <span role="alert" className="font-semibold text-plum">
          {problem}
        </span>
      )}
      {!first && count > 0 && (
        <discard.Form method="post">
          <input type="hidden" name="intent" value="back" />
          <button className="btn btn-quiet btn-low">{say('show.back')}</button>
        </discard.Form>
      )}
      {nothing ? (
        <span className="px-1 font-semibold text-moss" role="status">
          {view.liveAt ? say('show.madeLive', { at: view.liveAt }) : say('show.allLive')}
        </span>
      ) : first ? (
        <live.Form
          method="post"
          className="order-last"
          onSubmit={() => {
            publishing.current = true
          }}
        >
          <input type="hidden" name="intent" value="live" />
          <button className="btn btn-primary btn-low">{say('show.makeFirstLive')}</button>
        </live.Form>
      ) : (
        <button type="button" className="btn btn-primary btn-low order-last" onClick={() => setOpen(true)}>
          {say('show.makeLive', { count })}
        </button>
      )}
      {open && !nothing && !first && (
        <Panel title={say('show.willChange')} close={() => setOpen(false)}>
          <Changes view={view} />
          <live.Form method="post" className="mt-5 flex gap-2" onSubmit={() => setOpen(false)}>
            <input type="hidden" name="intent" value="live" />
            <button className="btn btn-primary">{say('show.confirm')}</button>
            <button type="button" className="btn btn-quiet" onClick={() => setOpen(false)}>
              {say('show.cancel')}
            </button>
          </live.Form>
        </Panel>
      )}
    </>
  )
}

function Changes({ view: { changes, comes, goes } }: { view: EditorView }) {
  return (
    <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-5 gap-y-2">
      {changes.map(({ part, name, before, after }) => (
        <div key={part} className="contents">
          <dt className="text-soft">{name}</dt>
          <dd className="break-words">
            {say('show.from')} <span className="text-soft">{before}</span> {say('show.to')}{' '}
            <b className="font-semibold">{after}</b>
          </dd>
        </div>
      ))}
      <Moving name={say('show.comes')} lines={comes} />
      <Moving name={say('show.goes')} lines={goes} />
    </dl>
  )
}

function Moving({ name, lines }: { name: string; lines: PickedLine[] }) {
  if (lines.length === 0) return null
  const shown = lines.map(({ name, rating }) => (rating === null ? name : `${name} (${rating / 100})`))
  return (
    <>
      <dt className="text-soft">{name}</dt>
      <dd className="break-words">{shown.join(', ')}</dd>
    </>
  )
}

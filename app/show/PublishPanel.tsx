import { lazy, Suspense, useEffect, useRef, useState } from 'react'
import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/show'
import type { EditorView } from '../../server/publishing/showViews'
import type { PickedLine } from '../../server/publishing/pickedLine'
import { Panel } from './Panel'
import { hasOwnCss } from './preview/hasOwnCss'
import type { OwnCssFault } from './preview/judgeOwnCss'

const UnreadablePanel = lazy(() => import('./UnreadablePanel'))

/** Publishes the draft: the first time at once, later after listing the changes. */
export function PublishPanel({
  view,
  open,
  setOpen,
  firstPublished,
  afterSaving,
}: {
  view: EditorView & { liveAt: string | null }
  open: boolean
  setOpen: (on: boolean) => void
  /** Called when this page has published the display for the first time. */
  firstPublished: () => void
  afterSaving: (act: () => void) => void
}) {
  const live = useFetcher<{ problem: string } | null>()
  const discard = useFetcher<{ problem: string } | null>()
  const [faults, setFaults] = useState<OwnCssFault[]>([])
  // What is published is what was saved last, also when this began before.
  const latest = useRef(view)
  useEffect(() => {
    latest.current = view
  }, [view])
  const [failed, setFailed] = useState(false)
  const [isJudging, setIsJudging] = useState(false)
  const isPublishing = isJudging || live.state !== 'idle'
  const publish = () => {
    setFailed(false)
    setIsJudging(true)
    void judgeAndPublish()
      .catch(() => setFailed(true))
      .finally(() => setIsJudging(false))
  }
  const judgeAndPublish = async () => {
    const judged = latest.current
    if (hasOwnCss(judged)) {
      const { judgeOwnCss } = await import('./preview/judgeOwnCss')
      const found = await judgeOwnCss(judged)
      setFaults(found)
      if (found.length > 0) return
    }
    await live.submit({ intent: 'live', judged: judged.savedAt }, { method: 'post' })
  }
  const problem = failed ? say('show.notJudged') : (live.data?.problem ?? discard.data?.problem)
  const first = view.live === null
  const count = view.changes.length
  const nothing = !first && count === 0
  const publishing = useRef(false)
  useEffect(() => {
    if (!publishing.current || first) return
    publishing.current = false
    // Who went on with something else is not interrupted.
    if (!wentOn.current) firstPublished()
  }, [first, firstPublished])
  const wentOn = useRef(false)
  useEffect(() => {
    const goOn = () => {
      wentOn.current = true
    }
    document.addEventListener('input', goOn)
    return () => document.removeEventListener('input', goOn)
  }, [])
  return (
    <>
      {problem && (
        <span role="alert" className="font-semibold text-plum">
          {problem}
        </span>
      )}
      {!first && count > 0 && (
        <button
          type="button"
          className="btn btn-quiet btn-low"
          onClick={() => afterSaving(() => void discard.submit({ intent: 'back' }, { method: 'post' }))}
        >
          {say('show.back')}
        </button>
      )}
      {nothing ? (
        <span className="px-1 font-semibold text-moss" role="status">
          {view.liveAt ? say('show.madeLive', { at: view.liveAt }) : say('show.allLive')}
        </span>
      ) : first ? (
        <button
          type="button"
          className="btn btn-primary btn-low order-last"
          aria-busy={isPublishing}
          onClick={() =>
            afterSaving(() => {
              publishing.current = true
              wentOn.current = false
              publish()
            })
          }
        >
          {say(isPublishing ? 'show.publishing' : 'show.makeFirstLive')}
        </button>
      ) : (
        <button
          type="button"
          className="btn btn-primary btn-low order-last"
          aria-busy={isPublishing}
          onClick={() => afterSaving(() => setOpen(true))}
        >
          {isPublishing ? say('show.publishing') : say('show.makeLive', { count })}
        </button>
      )}
      {faults.length > 0 && (
        <Suspense>
          <UnreadablePanel
            faults={faults}
            close={() => setFaults([])}
            publishWithout={() => {
              setFaults([])
              void live.submit({ intent: 'live' }, { method: 'post' })
            }}
          />
        </Suspense>
      )}
      {open && !nothing && !first && (
        <Panel title={say('show.willChange')} close={() => setOpen(false)}>
          <Changes view={view} />
          <div className="mt-5 flex gap-2">
            <button
              type="button"
              className="btn btn-primary"
              onClick={() => {
                setOpen(false)
                publish()
              }}
            >
              {say('show.confirm')}
            </button>
            <button type="button" className="btn btn-quiet" onClick={() => setOpen(false)}>
              {say('show.cancel')}
            </button>
          </div>
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
            {before && (
              <>
                {say('show.from')} <span className="text-soft">{before}</span> {say('show.to')}{' '}
              </>
            )}
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

import { useState } from 'react'
import { useFetcher } from 'react-router'
import { isOutOfDate, reserveStyle } from '../../core/display/reserve'
import type { Measure } from '../../core/display/measures'
import { say } from '../../core/messages/say/show'
import type { EditorView } from '../../server/publishing/showViews'
import { CopyButton } from '../components/CopyButton'
import { Panel } from './Panel'

/** Characters of code that two lines of the panel can show. */
const TWO_LINES = 140

/** The embed code, and where it was seen. */
export default function PlaceCode({
  view,
  shop,
  measures,
  close,
}: {
  view: EditorView & { localOnly: boolean; seenAt: string[] }
  shop: string
  /** The height of the display at each width; empty if no space is reserved. */
  measures: Measure[]
  close: () => void
}) {
  const fetcher = useFetcher()
  const [bare, setBare] = useState(false)
  const [whole, setWhole] = useState(false)
  const reserved = measures.length > 0 && !bare
  const code = reserved ? `${reserveStyle(view.key, view.draft.layout, measures)}\n${view.code}` : view.code
  const outdated = view.copied.length > 0 && isOutOfDate(view.copied, measures)
  return (
    <Panel title={say('show.code')} close={close}>
      <p>{say('show.codeHelp')}</p>
      {outdated && <p className="mt-2 font-semibold text-ochre">{say('show.codeOutdated')}</p>}
      <pre
        className={`mt-3 rounded-lg border border-line bg-wash px-3 py-2 text-[13px] leading-[1.5] break-all whitespace-pre-wrap select-all ${whole ? 'max-h-60 overflow-y-auto' : 'max-h-[48px] overflow-hidden pb-0'}`}
        tabIndex={whole ? 0 : undefined}
        data-code
      >
        {code}
      </pre>
      {code.length > TWO_LINES && (
        <button type="button" className="part mt-1" onClick={() => setWhole(!whole)}>
          {say(whole ? 'show.codeLess' : 'show.codeWhole')}
        </button>
      )}
      {view.localOnly && <p className="mt-3 font-semibold text-ochre">{say('show.codeLocal')}</p>}
      {view.live === null && <p className="mt-3 text-soft">{say('show.codeNotLive')}</p>}
      <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <CopyButton
          text={code}
          label={say('show.copy')}
          primary
          copied={() =>
            void fetcher.submit(
              { intent: 'copied', measures: JSON.stringify(reserved ? measures : []) },
              { method: 'post' },
            )
          }
        />
        {measures.length > 0 && (
          <label className="flex min-h-7 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm border-edge"
              checked={bare}
              onChange={(event) => setBare(event.currentTarget.checked)}
            />
            {say('show.codeBare')}
          </label>
        )}
        {view.live !== null && (
          <a href={view.pageUrl} target="_blank" rel="noreferrer" className="part">
            {say('show.page')}
          </a>
        )}
        <a href={`/s/${shop}/show/scratch?key=${view.key}`} className="part">
          {say('show.scratchTry')}
        </a>
      </div>
      <Seen view={view} />
      <details className="mt-4 border-t border-line pt-3">
        <summary className="cursor-pointer font-semibold text-petrol">{say('show.codeMore')}</summary>
        <dl className="mt-2 grid grid-cols-[auto_minmax(0,1fr)] gap-x-5 gap-y-1.5">
          {view.attributes.map((name) => (
            <div key={name} className="contents">
              <dt className="font-mono text-[13px]">{name}</dt>
              <dd className="text-soft">{say(`show.attribute.${name}`)}</dd>
            </div>
          ))}
        </dl>
        <p className="mt-3 text-soft">{say('show.codeAnywhere')}</p>
      </details>
    </Panel>
  )
}

function Seen({ view: { seen, seenAt, live } }: { view: EditorView & { seenAt: string[] } }) {
  return (
    <div className="mt-4 border-t border-line pt-3" role="status">
      {seen.length === 0 ? (
        <p className="text-soft">{live ? say('show.notSeen') : say('show.notSeenYet')}</p>
      ) : (
        <>
          <p className="font-semibold text-moss">{say('show.seen', { at: seenAt[0]! })}</p>
          <ul className="mt-1">
            {seen.slice(0, 5).map(({ page }, i) => (
              <li key={page} className="flex gap-3">
                <a
                  href={page}
                  target="_blank"
                  rel="noreferrer"
                  className="truncate underline underline-offset-2"
                >
                  {page}
                </a>
                <span className="shrink-0 text-soft">{seenAt[i]}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}

import { say } from '../../core/words/say'
import type { EditorView } from '../../server/publishing/editorView'
import { CopyButton } from '../components/CopyButton'
import { Panel } from './Panel'

/** The code that puts the display on any page. */
export function PlaceCode({
  view,
  open,
  setOpen,
}: {
  view: EditorView & { localOnly: boolean }
  open: boolean
  setOpen: (on: boolean) => void
}) {
  return (
    <>
      <button type="button" className="btn btn-quiet" onClick={() => setOpen(true)}>
        {say('show.place')}
      </button>
      {open && (
        <Panel title={say('show.code')} close={() => setOpen(false)}>
          <p>{say('show.codeHelp')}</p>
          <pre
            className="mt-3 rounded-lg border border-line bg-wash p-3 text-[13px] break-all whitespace-pre-wrap select-all"
            tabIndex={0}
            data-code
          >
            {view.code}
          </pre>
          {view.localOnly && <p className="mt-3 font-semibold text-ochre">{say('show.codeLocal')}</p>}
          {view.live === null && <p className="mt-3 text-soft">{say('show.codeNotLive')}</p>}
          <div className="mt-4 flex flex-wrap items-center gap-3">
            <CopyButton text={view.code} label={say('show.copy')} primary />
            {view.live !== null && (
              <a href={view.pageUrl} target="_blank" rel="noreferrer" className="part">
                {say('show.page')}
              </a>
            )}
          </div>
        </Panel>
      )}
    </>
  )
}

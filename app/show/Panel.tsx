import { useEffect, useRef, type ReactNode } from 'react'
import { say } from '../../core/messages/say/show'

/** A dialog; Escape and a click outside close it. The focus begins at its main button or first choice. */
export function Panel({ title, close, children }: { title: string; close: () => void; children: ReactNode }) {
  const dialog = useRef<HTMLDialogElement>(null)
  const content = useRef<HTMLDivElement>(null)
  useEffect(() => {
    dialog.current?.showModal()
    const main = content.current?.querySelector<HTMLElement>('.btn-primary')
    const first = content.current?.querySelector<HTMLElement>('button, a[href], input, select, textarea')
    ;(main ?? first)?.focus()
  }, [])
  return (
    <dialog
      ref={dialog}
      aria-labelledby="panel-title"
      onClose={close}
      onClick={(event) => event.target === dialog.current && close()}
      className="m-auto w-full max-w-[620px] rounded-[14px] border border-line bg-paper p-0 text-ink backdrop:bg-deep/40"
    >
      <div className="p-6">
        <div className="mb-4 flex items-start justify-between gap-4">
          <h2 id="panel-title" className="text-[18px] font-semibold">
            {title}
          </h2>
          <button type="button" className="btn btn-quiet btn-sm" onClick={close}>
            {say('show.close')}
          </button>
        </div>
        <div ref={content}>{children}</div>
      </div>
    </dialog>
  )
}

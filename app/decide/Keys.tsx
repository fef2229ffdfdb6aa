import { lazy, Suspense, useRef, useState } from 'react'
import { useCharacter } from '../components/useShortcut'
import { say } from '../../core/messages/say/decide'

/** Loaded when it is opened. */
const KeyList = lazy(() => import('./KeyList'))

export function Keys() {
  const [opened, setOpened] = useState(false)
  const dialog = useRef<HTMLDialogElement>(null)
  const open = () => {
    setOpened(true)
    dialog.current?.showModal()
  }
  useCharacter('?', open)
  return (
    <>
      <button
        type="button"
        className="btn btn-quiet h-9"
        aria-keyshortcuts="?"
        aria-label={say('decide.keys.open')}
        onClick={open}
      >
        ?
      </button>
      <dialog
        ref={dialog}
        aria-labelledby="keys"
        className="panel m-auto w-[34rem] max-w-[92vw] p-6 text-ink backdrop:bg-deep/50"
        onClick={(event) => event.target === event.currentTarget && event.currentTarget.close()}
      >
        <div className="flex items-center justify-between">
          <h2 id="keys" className="text-[16px] font-semibold">
            {say('decide.keys.open')}
          </h2>
          <button type="button" className="btn btn-quiet" onClick={() => dialog.current?.close()}>
            {say('decide.keys.close')}
          </button>
        </div>
        <Suspense>{opened && <KeyList />}</Suspense>
      </dialog>
    </>
  )
}

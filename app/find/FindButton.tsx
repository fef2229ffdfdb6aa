import { Search } from 'lucide-react'
import { lazy, Suspense, useEffect, useRef, useState } from 'react'
import { useRouteLoaderData } from 'react-router'
import type { ReviewState } from '../../core/moderation/rules'
import { say } from '../../core/messages/say/frame'
import { useShortcutsOn } from '../components/shortcutPreference'
import type { Where } from './results'

/** Loaded when it is opened. */
const FindDialog = lazy(() => import('./FindDialog'))

/** Opens the search over everything; `/` does so too. */
export default function FindButton({ shop, isOwner }: Pick<Where, 'shop' | 'isOwner'>) {
  /** Each opening starts with an empty field. */
  const [opened, setOpened] = useState(0)
  const [isOpen, setIsOpen] = useState(false)
  const dialog = useRef<HTMLDialogElement>(null)
  const queue = useRouteLoaderData<{ search: { lane: ReviewState } }>('decide/queue')
  const open = () => {
    setOpened(opened + 1)
    setIsOpen(true)
    dialog.current?.showModal()
  }
  useSlash(open)
  const close = () => dialog.current?.close()
  const openList = queue?.search.lane ?? null
  return (
    <>
      <button
        type="button"
        className="flex h-9 cursor-pointer items-center gap-2 rounded-lg border border-[#4d7f89] px-2.5 text-[14px] text-[#d5e3e5] hover:text-white"
        aria-keyshortcuts="/"
        onClick={open}
      >
        <Search className="size-4" aria-hidden="true" />
        <span className="max-lg:sr-only">{say('frame.find')}</span>
        <kbd className="font-sans text-[12px] max-lg:hidden pointer-coarse:hidden" aria-hidden="true">
          /
        </kbd>
      </button>
      <dialog
        ref={dialog}
        aria-label={say('frame.find')}
        className="panel mx-auto mt-[10vh] mb-auto max-h-[76vh] w-[44rem] max-w-[94vw] flex-col overflow-hidden p-0 text-ink backdrop:bg-deep/50 open:flex"
        onClick={(event) => event.target === event.currentTarget && close()}
        onClose={() => setIsOpen(false)}
      >
        <Suspense>
          {isOpen && <FindDialog key={opened} where={{ shop, isOwner, openList }} close={close} />}
        </Suspense>
      </dialog>
    </>
  )
}

/** Of its own, since every page has it, and the package for other keys is large. */
function useSlash(open: () => void): void {
  const on = useShortcutsOn()
  const latest = useRef(open)
  useEffect(() => {
    latest.current = open
  })
  useEffect(() => {
    if (!on) return
    const listen = (event: KeyboardEvent) => {
      const { key, target, ctrlKey, metaKey, altKey } = event
      const isTyping =
        target instanceof Element && target.closest('input, textarea, select, [contenteditable]')
      if (key !== '/' || ctrlKey || metaKey || altKey || isTyping || document.querySelector('dialog[open]'))
        return
      event.preventDefault()
      latest.current()
    }
    document.addEventListener('keydown', listen)
    return () => document.removeEventListener('keydown', listen)
  }, [on])
}

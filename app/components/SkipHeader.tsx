import { say } from '../../core/messages/say/frame'

/** The first stop of the Tab key: past the header, to the acts on a review or else to the page. */
export function SkipHeader() {
  return (
    <button
      type="button"
      className="sr-only focus:not-sr-only focus:absolute focus:top-0 focus:left-0 focus:z-50 focus:m-2 focus:rounded-lg focus:bg-paper focus:px-4 focus:py-2 focus:text-ink"
      onClick={() => {
        const goal = document.querySelector<HTMLElement>('#actions') ?? document.querySelector('main')
        if (!goal) return
        goal.tabIndex = -1
        goal.focus()
      }}
    >
      {say('frame.skip')}
    </button>
  )
}

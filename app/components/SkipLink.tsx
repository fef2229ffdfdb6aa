import { say } from '../../core/messages/say/frame'

/** The first stop of the Tab key: past the header, to the acts on a review or else to the page. */
export function SkipLink() {
  return (
    <a
      href="#actions"
      className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:m-2 focus:rounded-lg focus:bg-paper focus:px-4 focus:py-2 focus:text-ink"
      onClick={(event) => {
        event.preventDefault()
        const goal = document.querySelector<HTMLElement>('#actions') ?? document.querySelector('main')
        if (!goal) return
        goal.tabIndex = -1
        goal.focus()
      }}
    >
      {say('frame.skip')}
    </a>
  )
}

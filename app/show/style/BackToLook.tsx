import { say } from '../../../core/messages/say/style'

/** Says that something differs from the look, and undoes only that. */
export function BackToLook({ goBack }: { goBack: (() => void) | null }) {
  if (!goBack) return null
  return (
    <button type="button" className="part min-h-6 self-start text-[13px]" onClick={goBack}>
      {say('style.backToLook')}
    </button>
  )
}

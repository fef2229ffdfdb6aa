import { setShortcutsOn, useShortcutsOn } from '../components/shortcutPreference'
import { say } from '../../core/messages/say/decide'

const keys = [
  ['1', 'approve'],
  ['2', 'decline'],
  ['Shift 2', 'declineWhy'],
  ['3', 'spam'],
  ['4', 'reply'],
  ['5', 'move'],
  ['6', 'tag'],
  ['7', 'note'],
  ['↓', 'next'],
  ['↑', 'before'],
  ['Space', 'select'],
  ['Shift ↓', 'selectMove'],
  ['Ctrl Z', 'undo'],
  ['/', 'search'],
  ['Esc', 'leave'],
] as const

/** All keys, and whether single ones act. */
export default function KeyList() {
  const on = useShortcutsOn()
  return (
    <>
      <dl className="mt-4 grid grid-cols-1 gap-x-8 gap-y-2 sm:grid-cols-2">
        {keys.map(([key, what]) => (
          <div key={key} className="flex items-baseline gap-3">
            <dt className="w-16 shrink-0 text-right">
              <kbd className="rounded-[5px] border border-edge px-1.5 font-sans text-[12px] font-semibold">
                {key}
              </kbd>
            </dt>
            <dd>{say(`decide.keys.${what}`)}</dd>
          </div>
        ))}
      </dl>
      <label className="mt-5 flex min-h-7 items-center gap-2.5 border-t border-line pt-4">
        <input
          type="checkbox"
          className="checkbox checkbox-sm border-edge"
          checked={on}
          onChange={(event) => setShortcutsOn(event.currentTarget.checked)}
        />
        {say('decide.keys.on')}
      </label>
    </>
  )
}

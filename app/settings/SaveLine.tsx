import { useNavigation } from 'react-router'
import { say } from '../../core/messages/say/setUp'
import { Problem } from '../components/Problem'

/** The button that saves a section, and what became of it. */
export function SaveLine({ saved, problem }: { saved: boolean; problem: string | null }) {
  const busy = useNavigation().state !== 'idle'
  return (
    <div>
      <div className="flex items-center gap-4">
        <button className="btn btn-primary" disabled={busy}>
          {say('settings.save')}
        </button>
        <span role="status" className="text-moss">
          {saved && !busy && say('settings.saved')}
        </span>
      </div>
      <Problem text={problem} />
    </div>
  )
}

import { say } from '../../core/words/say'
import type { HistoryEntry } from '../../server/moderation/queue'

/** The review's part of the log, oldest first. */
export function History({ entries }: { entries: (HistoryEntry & { who: string; when: string })[] }) {
  return (
    <section className="panel px-5 py-4" aria-labelledby="history">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 id="history" className="font-semibold">
          {say('decide.history')}
        </h2>
        <p className="text-[13px] text-soft">{say('decide.historyNote')}</p>
      </div>
      <ol className="mt-1">
        {entries.map((entry) => (
          <li key={entry.number} className="flex items-baseline gap-3 py-1">
            <span className="min-w-0 flex-1">
              <span className={entry.undone ? 'line-through decoration-soft' : ''}>{wording(entry)}</span>
            </span>
            <span className="text-[13px] text-soft">{entry.when}</span>
            <span className="w-28 text-right text-[12.5px] text-soft tabular-nums" title={entry.hash}>
              no. {entry.number}, {entry.hash.slice(0, 6)}
            </span>
          </li>
        ))}
      </ol>
    </section>
  )
}

function wording({ act, who, state }: HistoryEntry & { who: string }): string {
  const words = { who, state: say(`state.${state}`).toLowerCase() }
  switch (act) {
    case 'arrive':
    case 'write':
    case 'approve':
    case 'decline':
    case 'spam':
    case 'undo':
      return say(`log.${act}`, words)
    default:
      return act
  }
}

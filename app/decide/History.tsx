import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/decide'
import type { HistoryEntry } from '../../server/moderation/reviewView'

export default function History({
  shop,
  review,
  entries,
}: {
  shop: string
  review: string
  entries: (HistoryEntry & { who: string; when: string })[]
}) {
  const fetcher = useFetcher<{ problem?: string }>()
  return (
    <section className="panel px-5 py-4" aria-labelledby="history">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 id="history" className="font-semibold">
          {say('decide.history')}
        </h2>
        <p className="text-[13px] text-soft">{say('decide.historyNote')}</p>
      </div>
      {fetcher.data?.problem && (
        <p role="alert" className="mt-1 font-semibold text-plum">
          {fetcher.data.problem}
        </p>
      )}
      <ol className="mt-1">
        {entries.map((entry) => (
          <li key={entry.number} className="flex items-baseline gap-3 py-1">
            <span className="min-w-0 flex-1">
              <span className={entry.undone ? 'line-through decoration-soft' : ''}>{wording(entry)}</span>
            </span>
            {entry.effective && (
              <fetcher.Form method="post" action={`/s/${shop}/decide/undo`}>
                <input type="hidden" name="review" value={review} />
                <button name="number" value={entry.number} className="part min-h-6 text-[13px]">
                  {say('decide.takeBack')}
                </button>
              </fetcher.Form>
            )}
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
    case 'find':
    case 'changeThere':
    case 'confirm':
    case 'ask':
    case 'askToRemove':
    case 'correct':
    case 'prove':
    case 'unprove':
    case 'join':
    case 'hidePhoto':
    case 'showPhoto':
    case 'vouch':
    case 'unvouch':
    case 'change':
    case 'takeBack':
    case 'bringBack':
    case 'consent':
    case 'noConsent':
    case 'write':
    case 'approve':
    case 'decline':
    case 'spam':
    case 'undo':
    case 'reason':
    case 'move':
    case 'merge':
    case 'unmerge':
    case 'vanish':
    case 'rule':
    case 'undoIntake':
    case 'redoIntake':
    case 'tag':
    case 'untag':
    case 'reply':
    case 'unreply':
      return say(`log.${act}`, words)
    default:
      return act
  }
}

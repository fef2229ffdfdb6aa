import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/jobs'

export function JobProgress({
  job,
  shop,
  label,
  keeps,
}: {
  job: { id: number; state: string; done: number; total: number | null }
  shop: string
  label: string
  /** What stays after cancelling; null if the job can't be cancelled. */
  keeps: string | null
}) {
  const fetcher = useFetcher()
  const { done, total } = job
  const percent = total === null || total === 0 ? null : Math.floor((100 * done) / total)
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <span className="w-56 max-w-full">
        <progress
          // Browsers draw a bar without a value as indeterminate, also after it gets one.
          key={percent === null ? 'begun' : 'measured'}
          className="progress w-full text-ink"
          aria-label={label}
          {...(percent === null ? {} : { value: percent, max: 100 })}
        />
      </span>
      <span role="status" className="tabular-nums">
        {job.state === 'due'
          ? say('jobs.waits')
          : percent === null
            ? say('jobs.begun')
            : say('jobs.percent', { percent })}
      </span>
      {keeps && (
        <fetcher.Form method="post" action={`/s/${shop}/settings/jobs`} className="flex items-center gap-3">
          <input type="hidden" name="id" value={job.id} />
          <button
            name="intent"
            value="cancel"
            className="btn btn-quiet"
            disabled={fetcher.state !== 'idle'}
            aria-describedby={`keeps-${job.id}`}
          >
            {say('jobs.cancel')}
          </button>
          <span id={`keeps-${job.id}`} className="text-[13px] text-soft">
            {keeps}
          </span>
        </fetcher.Form>
      )}
    </div>
  )
}

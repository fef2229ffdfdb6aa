import { useFetcher } from 'react-router'
import { say } from '../../../core/messages/say/forms'

/** The address of a form, and another one for it. */
export function FormAddress({ address, slug }: { address: string; slug: string }) {
  const fetcher = useFetcher<
    { outcome: 'moved' } | { outcome: 'taken'; free: string } | { outcome: 'missing' }
  >()
  const answer = fetcher.data
  return (
    <fetcher.Form method="post">
      <input type="hidden" name="intent" value="address" />
      <label className="flex flex-col gap-1">
        <span className="text-[13px] text-soft">
          {say('forms.address')}: {address.replace(/^https?:\/\//, '').replace(/[^/]*$/, '')}
        </span>
        <span className="flex gap-2">
          <input
            key={slug}
            name="address"
            defaultValue={slug}
            maxLength={60}
            required
            className="input input-sm min-w-0 flex-1 border-edge text-ink"
          />
          <button className="btn btn-quiet btn-low">{say('forms.setAddress')}</button>
        </span>
      </label>
      <p role="status" className="text-[13px] text-soft">
        {answer?.outcome === 'taken' && say('forms.taken', { free: answer.free })}
        {answer?.outcome === 'moved' && say('forms.moved')}
      </p>
    </fetcher.Form>
  )
}

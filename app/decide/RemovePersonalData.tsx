import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/decide'
import type { action } from './askToRemove'

/** For a review that is held back for personal data: approving would publish it, declining would silence the writer. */
export default function RemovePersonalData({ address }: { address: string }) {
  const fetcher = useFetcher<typeof action>()
  const asked = fetcher.data?.outcome === 'asked'
  return (
    <fetcher.Form method="post" action={address} className="flex flex-wrap items-center gap-x-3 gap-y-2">
      {!asked && (
        <>
          <button className="btn btn-quiet" disabled={fetcher.state !== 'idle'}>
            {say('remove.button')}
          </button>
          <span className="text-[13px] text-soft">{say('remove.why')}</span>
        </>
      )}
      <span role="status" className={asked ? 'font-semibold text-moss' : 'text-ochre'}>
        {fetcher.data?.words}
      </span>
    </fetcher.Form>
  )
}

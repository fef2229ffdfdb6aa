import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/decide'
import type { action } from './requestConfirmation'

/** Asks the customer to confirm a review that the shop added. A confirmed one is her own. */
export function AskToConfirm({ address, known }: { address: string; known: string | null }) {
  const fetcher = useFetcher<typeof action>()
  const asked = fetcher.data?.outcome === 'asked'
  return (
    <fetcher.Form method="post" action={`${address}/ask`} className="mt-1 flex flex-col gap-2">
      {!asked && (
        <>
          <label className={known ? 'sr-only' : 'text-[13px] text-soft'}>
            {say('ask.email')}
            <input
              type="email"
              name="address"
              required
              defaultValue={known ?? ''}
              className="input mt-1 w-full border-edge text-ink"
            />
          </label>
          <button className="btn btn-quiet self-start" disabled={fetcher.state !== 'idle'}>
            {say('ask.button')}
          </button>
        </>
      )}
      <span role="status" className={`text-[13px] ${asked ? 'text-moss' : 'text-ochre'}`}>
        {fetcher.data?.words}
      </span>
    </fetcher.Form>
  )
}

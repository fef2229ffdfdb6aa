import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/listings'
import type { ListingView } from '../../server/listing/listingViews'

/** The acts that fit the state of a listing. What can be undone is done at once. */
export function ListingActs({ listing: { state, refusal, isChecking } }: { listing: ListingView }) {
  const fetcher = useFetcher({ key: 'listing' })
  const act = (intent: string, words: string, isDisabled = false) => (
    <button name="intent" value={intent} className="btn btn-quiet" disabled={isDisabled}>
      {words}
    </button>
  )
  if (state === 'disconnected')
    return <fetcher.Form method="post">{act('reconnect', say('listings.undo'))}</fetcher.Form>
  return (
    <>
      <fetcher.Form method="post" className="flex flex-wrap gap-3">
        {refusal === 'fewer' && act('acceptFewer', say('listings.reallyGone'))}
        {state === 'active' && act('check', say('listings.check'), isChecking)}
        {state === 'active' ? act('stop', say('listings.stop')) : act('resume', say('listings.resume'))}
      </fetcher.Form>
      <details className="basis-full">
        <summary className="part min-h-6 cursor-pointer">{say('listings.disconnect')}</summary>
        <p className="py-2 text-soft">{say('listings.disconnectWhy')}</p>
        <fetcher.Form method="post" className="flex flex-wrap gap-3">
          {act('disconnect', say('listings.disconnectLeave'))}
          {act('disconnectAndRemove', say('listings.disconnectRemove'))}
        </fetcher.Form>
      </details>
    </>
  )
}

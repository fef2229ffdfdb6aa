import { Link, useFetcher } from 'react-router'
import { say } from '../../core/messages/say/listings'
import type { ListingView } from '../../server/listing/listingViews'
import { businessName, refusalWords, siteNumbers, stateWords, type Clock } from './listingWords'
import { SiteIcon } from './SiteIcon'
import { SourceRow } from './SourceRow'

/** A listing among the sources: when it was checked and what it found, or what it needs. */
export function ListingRow({
  shop,
  listing,
  clock,
  isOwner,
}: {
  shop: string
  listing: ListingView & { arrivals: number }
  clock: Clock
  isOwner: boolean
}) {
  const { publicId, site, origin, state, refusal } = listing
  const refused = state === 'active' ? refusalWords(listing) : null
  const needsKey = refusal === 'keyRefused' || refusal === 'keyMissing'
  const needsColumns = refusal === 'columns'
  const address = `/s/${shop}/gather/listings/${publicId}`
  return (
    <SourceRow
      name={
        <span className="inline-flex max-w-full items-center gap-2">
          {site && <SiteIcon path={site.icon} />}
          <span className="truncate">
            {site?.name ?? origin} <bdi className="font-normal text-soft">{businessName(listing)}</bdi>
          </span>
        </span>
      }
      hint={
        <>
          {refused && <span className="block font-semibold text-wrap text-plum">{refused}</span>}
          {siteNumbers(listing, listing.scale)} · {stateWords(listing, clock)}
        </>
      }
      count={listing.arrivals}
    >
      {isOwner && <HelpingAct address={address} listing={listing} />}
      {isOwner && (
        <Link to={needsColumns ? `${address}/columns` : address} className={'btn btn-quiet'}>
          {say(needsKey ? 'listings.withKey' : needsColumns ? 'listings.sheet.change' : 'listings.details')}
          <span className="sr-only"> {businessName(listing)}</span>
        </Link>
      )}
    </SourceRow>
  )
}

/** The one act that helps, or the one that comes next. */
function HelpingAct({ address, listing }: { address: string; listing: ListingView }) {
  const fetcher = useFetcher()
  const act = actFor(listing)
  if (!act) return null
  return (
    <fetcher.Form method="post" action={address}>
      <button
        name="intent"
        value={act}
        className="btn btn-quiet"
        disabled={act === 'check' && listing.isChecking}
      >
        {say(`listings.${act === 'reconnect' ? 'undo' : act}`)}
        <span className="sr-only"> {businessName(listing)}</span>
      </button>
    </fetcher.Form>
  )
}

function actFor({
  state,
  refusal,
  publishable,
}: ListingView): 'check' | 'resume' | 'reconnect' | 'show' | null {
  if (state === 'disconnected') return 'reconnect'
  if (state === 'stopped') return 'resume'
  const needsMore =
    refusal === 'keyRefused' || refusal === 'keyMissing' || refusal === 'fewer' || refusal === 'columns'
  if (needsMore) return null
  if (refusal !== null && refusal !== 'closed') return 'check'
  return publishable > 0 ? 'show' : null
}

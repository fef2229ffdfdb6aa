import type { ReactNode } from 'react'
import { Link, useRouteLoaderData } from 'react-router'
import type { loader as shopLoader } from '../shop/layout'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { say } from '../../core/messages/say/decide'
import { AskToConfirm } from './AskToConfirm'
import { REASON_LIMIT, type ReviewAct } from '../../core/moderation/reviewAct'
import type { ProofKept } from '../../server/data/reviewReading'
import type { ReviewView } from '../../server/moderation/reviewView'

type Proof = ProofKept & { delivered: string }

export function ReviewFacts({
  shop,
  review,
  proof,
  act,
  earlier,
  standsIn,
}: {
  shop: string
  review: ReviewView['review']
  proof: Proof | null
  act: (act: ReviewAct) => void
  earlier: number
  standsIn: ReviewView['standsIn']
}) {
  return (
    <dl className="panel grid gap-x-6 gap-y-4 px-5 py-4 sm:grid-cols-3">
      <Fact name={say('decide.boughtHere')}>
        <Bought review={review} proof={proof} act={act} />
      </Fact>
      <Fact name={say('decide.writer')}>
        {sourcePolicies[review.source].typedBy === 'shop' && !review.confirmedAt ? (
          <>
            <b className="font-semibold">{say('ask.notYet')}</b>
            <AskToConfirm address={`/s/${shop}/decide/${review.publicId}`} known={review.authorEmail} />
          </>
        ) : review.customerId === null ? (
          <b className="font-semibold">{say('decide.noAddress')}</b>
        ) : (
          <>
            <b className="font-semibold">
              {earlier === 0 ? say('decide.firstReview') : say('decide.earlier', { count: earlier })}
            </b>
            <Small>{say(review.confirmedAt ? 'decide.confirmed' : 'decide.emailOnly')}</Small>
          </>
        )}
      </Fact>
      <Fact name={say('decide.standsIn')}>
        <Stands shop={shop} review={review} standsIn={standsIn} />
      </Fact>
    </dl>
  )
}

function Bought({
  review,
  proof,
  act,
}: {
  review: ReviewView['review']
  proof: Proof | null
  act: (act: ReviewAct) => void
}) {
  if (!proof)
    return (
      <>
        <b className="font-semibold">{say('proof.no')}</b>
        {review.proofFailure && (
          <Small>
            {say(`proof.${review.proofFailure}`, {
              number: review.claimedOrder,
              product: review.productTitle ?? '',
            })}
          </Small>
        )}
        <WithReason
          label={say('proof.vouch')}
          ask={say('proof.vouchWhy')}
          done={(reason) => act({ kind: 'vouch', reason })}
        />
      </>
    )
  const byHand = proof.method === 'manual'
  return (
    <>
      <b className="font-semibold text-moss">
        {byHand ? say('proof.byHand') : say('proof.yes', { number: proof.orderNumber ?? '' })}
      </b>
      <Small>
        {proof.method === 'manual'
          ? say('proof.manual', { reason: proof.reason ?? '' })
          : say(proof.method === 'mailbox' ? 'proof.mailbox' : 'proof.orderNumber', {
              title: proof.productTitle ?? '',
              when: proof.delivered ?? '',
            })}
      </Small>
      <WithReason
        label={say('proof.unvouch')}
        ask={say('proof.unvouchWhy')}
        done={(reason) => act({ kind: 'unvouch', reason })}
      />
    </>
  )
}

/** An action with a reason. */
function WithReason({ label, ask, done }: { label: string; ask: string; done: (reason: string) => void }) {
  return (
    <details className="mt-1">
      <summary className="part inline-flex min-h-6 cursor-pointer text-[13px]">{label}</summary>
      <form
        className="mt-2 flex flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          done(String(new FormData(event.currentTarget).get('reason')))
        }}
      >
        <label className="text-[13px] text-soft">
          {ask} <span>({say('proof.reasonSeen')})</span>
          <input
            name="reason"
            required
            maxLength={REASON_LIMIT}
            className="input mt-1 w-full border-edge text-ink"
          />
        </label>
        <button className="btn btn-quiet self-start">{label}</button>
      </form>
    </details>
  )
}

function Stands({
  shop,
  review,
  standsIn,
}: {
  shop: string
  review: ReviewView['review']
  standsIn: ReviewView['standsIn']
}) {
  const isOwner = useRouteLoaderData<typeof shopLoader>('shop/layout')?.shop.isOwner ?? false
  if (!review.showable)
    return (
      <>
        <b className="font-semibold">{say('decide.neverShown')}</b>
        <Small>{say('decide.neverShownWhy')}</Small>
      </>
    )
  if (review.state !== 'approved')
    return (
      <>
        <b className="font-semibold">{say('decide.nowhere')}</b>
        <Small>{say('decide.onlyWhenApproved')}</Small>
      </>
    )
  if (standsIn.length === 0) return <b className="font-semibold">{say('decide.notPicked')}</b>
  return (
    <span className="flex flex-wrap gap-x-3">
      {standsIn.map(({ key, name }) =>
        isOwner ? (
          <Link key={key} to={`/s/${shop}/show/${key}`} className="part">
            {name}
          </Link>
        ) : (
          <span key={key}>{name}</span>
        ),
      )}
    </span>
  )
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="min-w-0">
      <dt className="text-[13px] text-soft">{name}</dt>
      <dd className="break-words">{children}</dd>
    </div>
  )
}

function Small({ children }: { children: ReactNode }) {
  return <span className="block text-[13px] text-soft">{children}</span>
}

import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { say } from '../../core/words/say'
import type { ReviewView } from '../../server/moderation/reviewView'

/** Whether the writer bought and how we know, what else she wrote, and where visitors read it. */
export function ReviewFacts({
  shop,
  review,
  proof,
  earlier,
  standsIn,
}: {
  shop: string
  review: ReviewView['review']
  proof: { method: string; orderNumber: string; productTitle: string; delivered: string } | null
  earlier: number
  standsIn: ReviewView['standsIn']
}) {
  return (
    <dl className="panel grid gap-x-6 gap-y-4 px-5 py-4 sm:grid-cols-3">
      <Fact name={say('decide.boughtHere')}>
        {proof ? (
          <>
            <b className="font-semibold text-moss">{say('proof.yes', { number: proof.orderNumber })}</b>
            <Small>
              {say(proof.method === 'mailbox' ? 'proof.mailbox' : 'proof.orderNumber', {
                title: proof.productTitle,
                when: proof.delivered,
              })}
            </Small>
          </>
        ) : (
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
          </>
        )}
      </Fact>
      <Fact name={say('decide.writer')}>
        {review.customerId === null ? (
          <b className="font-semibold">{say('decide.noAddress')}</b>
        ) : (
          <>
            <b className="font-semibold">
              {earlier === 0 ? say('decide.firstReview') : say('decide.earlier', { count: earlier })}
            </b>
            <Small>{say(review.confirmedAt ? 'decide.confirmed' : 'decide.mailboxOnly')}</Small>
          </>
        )}
      </Fact>
      <Fact name={say('decide.standsIn')}>
        <Stands shop={shop} review={review} standsIn={standsIn} />
      </Fact>
    </dl>
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
      {standsIn.map(({ key, name }) => (
        <Link key={key} to={`/s/${shop}/show/${key}`} className="part">
          {name}
        </Link>
      ))}
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

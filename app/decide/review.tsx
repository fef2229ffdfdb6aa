import { ArrowLeft } from 'lucide-react'
import { writerInSentence } from '../../core/messages/writerName'
import { lazy, Suspense, useRef } from 'react'
import { data, Link, redirect } from 'react-router'
import { z } from 'zod'
import { spokenMoment } from '../../core/formats/dates'
import { likelyAct } from '../../core/moderation/likelyAct'
import { reviewActSchema, type ReviewAct } from '../../core/moderation/reviewAct'
import { translateCode } from '../../core/messages/code'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { say } from '../../core/messages/say/decide'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { jsonText, readForm } from '../readForm'
import { ActBar } from './ActBar'
import { listPath, queuePath } from './address'
import { Filing } from './Filing'
import { openLane } from './openLane'
import { ReplyBox } from './ReplyBox'
import { ReviewFacts } from './ReviewFacts'
import { ReviewPhotos } from './ReviewPhotos'
import { ReviewWords } from './ReviewWords'
import { Why } from './Why'
import { storedReason } from './declineReason'
import { useReviewActs } from './useReviewActs'
import type { Route } from './+types/review'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member, actor } = await requireShop(request, context, params.shop)
  const view = await context.elogio.reviewView(shop, params.review)
  if (!view) throw data(null, { status: 404 })
  const { search, filter } = await openLane(request, context, shop, params.review)
  const spoken = {
    now: context.elogio.now(),
    timeZone: shop.timeZone,
    locale: shop.locale,
    today: say('today'),
  }
  const { review, signals, proof } = view
  return {
    ...view,
    search,
    at: spoken.now,
    products: await context.elogio.productChoices(shop, review.productSku ? [review.productSku] : []),
    known: await context.elogio.findTags(shop, ''),
    readers: context.elogio.readTogether(shop, member, params.review),
    replyName: shop.replyName,
    replyWhen: review.reply ? spokenMoment(review.reply.postedAt, spoken) : '',
    locale: shop.locale,
    when: spokenMoment(review.receivedAt, spoken),
    proof: proof && { ...proof, delivered: proof.deliveredAt ? spokenMoment(proof.deliveredAt, spoken) : '' },
    history: view.history.map((entry) => ({
      ...entry,
      who: entry.memberId === member.id ? say('decide.you') : (entry.memberName ?? ''),
      when: spokenMoment(entry.at, spoken),
    })),
    likely: likelyAct({ ...review, kinds: signals.map(({ kind }) => kind) }),
    neighbours: await context.elogio.neighbours(shop, filter, review.id),
    lastAct: await context.elogio.latestOwnAct(shop, actor),
    canUndo: await context.elogio.canUndo(shop, actor),
  }
}

const acting = z.object({ act: jsonText(reviewActSchema), revision: z.coerce.number().int() })

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop)
  const { act, revision } = readForm(context, acting)
  const { search, filter } = await openLane(request, context, shop, params.review)
  const result = await context.elogio.decide(shop, actor, params.review, act, revision)
  if (result.outcome === 'gone') return { problem: say('decide.gone') }
  if (result.outcome !== 'done') {
    const words = {
      name: writerInSentence(result.authorName),
      state: say(`state.${result.state}`).toLowerCase(),
    }
    return { problem: say(`decide.${result.outcome}`, words) }
  }
  if (act.kind !== 'approve' && act.kind !== 'decline' && act.kind !== 'spam') return null
  const { after, before } = await context.elogio.neighbours(shop, filter, result.review.id)
  return redirect(queuePath(shop.slug, (after ?? before)?.publicId ?? null, search))
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

// Most reviews came alone and hold nothing private.
const GroupCard = lazy(() => import('./GroupCard'))
const RemovePersonalData = lazy(() => import('./RemovePersonalData'))
// It is at the end of the page.
const History = lazy(() => import('./History'))

export default function Review(props: Route.ComponentProps) {
  return <OpenReview key={props.loaderData.review.publicId} {...props} />
}

function OpenReview({ loaderData, params }: Route.ComponentProps) {
  const { review, signals, history, readers, search } = loaderData
  const { act, problem } = useReviewActs(queuePath(params.shop, review.publicId, search), review.revision)
  const address = `/s/${params.shop}/decide/${review.publicId}/aside`
  const writeReply = useRef<() => void>(() => undefined)
  return (
    <article className="flex min-h-0 min-w-0 flex-col" aria-labelledby="writer">
      <div
        className="relative min-h-0 flex-1 overflow-y-auto px-4 py-4 -outline-offset-2 lg:px-9 lg:py-6"
        tabIndex={0}
      >
        <Link
          to={listPath(params.shop, search)}
          className="part mb-3 inline-flex items-center gap-1 lg:!hidden"
        >
          <ArrowLeft className="size-4" aria-hidden="true" />
          {say('decide.backToList')}
        </Link>
        <h1 className="sr-only lg:hidden">{say('decide.title')}</h1>
        {readers.length > 0 && (
          <p role="status" className="mb-3 rounded-lg bg-tint px-3 py-1.5">
            {say('decide.reading', { count: readers.length, names: readers.join(', ') })}
          </p>
        )}
        <ReviewWords
          shop={params.shop}
          review={review}
          evidence={loaderData.evidence}
          posted={loaderData.posted}
          signals={signals}
          standing={loaderData.published}
          productTally={loaderData.productTally}
          locale={loaderData.locale}
          when={loaderData.when}
          q={search.q}
        />
        <ReviewPhotos
          address={address}
          photos={loaderData.photos}
          act={act}
          writer={writerInSentence(review.authorName)}
        />
        <div className="mt-4 flex flex-col gap-4">
          {loaderData.group && (
            <Suspense fallback={<div className="panel h-32" />}>
              <GroupCard
                shop={params.shop}
                review={review.publicId}
                group={loaderData.group}
                search={search}
                after={loaderData.neighbours.after?.publicId ?? null}
                at={loaderData.at}
              />
            </Suspense>
          )}
          <Why
            shop={params.shop}
            state={review.state}
            score={review.score}
            signals={signals}
            isVerified={review.verified}
            taughtBy={loaderData.taughtBy}
          />
          {review.state === 'held' &&
            sourcePolicies[review.source].typedBy === 'customer' &&
            signals.some(({ kind }) => kind === 'personal') && (
              <Suspense>
                <RemovePersonalData address={`/s/${params.shop}/decide/${review.publicId}/remove`} />
              </Suspense>
            )}
          {review.state === 'declined' && <Reason reason={review.declineReason} act={act} />}
          <ReviewFacts
            shop={params.shop}
            review={review}
            proof={loaderData.proof}
            act={act}
            earlier={loaderData.earlier}
            standsIn={loaderData.standsIn}
          />
          <ReplyBox
            address={address}
            review={review}
            posted={loaderData.posted && { site: loaderData.posted.site, url: review.seenUrl }}
            replyName={loaderData.replyName}
            replyWhen={loaderData.replyWhen}
            writeRef={writeReply}
            act={act}
          />
          <Filing
            address={address}
            review={review}
            tags={loaderData.tags}
            products={loaderData.products}
            known={loaderData.known}
            act={act}
          />
          <Suspense>
            <History shop={params.shop} review={review.publicId} entries={history} />
          </Suspense>
        </div>
      </div>
      <ActBar
        shop={params.shop}
        review={review}
        search={search}
        likely={loaderData.likely}
        neighbours={loaderData.neighbours}
        lastAct={loaderData.lastAct}
        canUndo={loaderData.canUndo}
        problem={problem}
        reply={() => writeReply.current()}
        act={act}
      />
    </article>
  )
}

function Reason({ reason, act }: { reason: string; act: (act: ReviewAct) => void }) {
  return (
    <form
      key={reason}
      className="panel flex flex-wrap items-center gap-2 px-5 py-4"
      onSubmit={(event) => {
        event.preventDefault()
        act({
          kind: 'reason',
          reason: storedReason(String(new FormData(event.currentTarget).get('reason') ?? '')),
        })
      }}
    >
      <label className="flex min-w-60 flex-1 flex-col gap-1">
        <span className="flex justify-between font-semibold">
          {say('decide.reason.name')}
          <span className="text-[13px] font-normal text-soft">{say('decide.reason.seen')}</span>
        </span>
        <input
          name="reason"
          defaultValue={translateCode(say, reason)}
          placeholder={say('decide.reason.none')}
          autoComplete="off"
          className="input w-full border-edge"
        />
      </label>
      <button className="btn btn-quiet self-end">{say('decide.reason.save')}</button>
    </form>
  )
}

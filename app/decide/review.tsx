import { data, redirect } from 'react-router'
import { z } from 'zod'
import { spokenMoment } from '../../core/formats/dates'
import { acts, likelyAct } from '../../core/moderation/likelyAct'
import { say } from '../../core/words/say'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import { ActBar } from './ActBar'
import { queuePath } from './address'
import { History } from './History'
import { openLane } from './openLane'
import { ReviewFacts } from './ReviewFacts'
import { ReviewWords } from './ReviewWords'
import { Why } from './Why'
import type { Route } from './+types/review'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  const view = await context.elogio.reviewView(shop, params.review)
  if (!view) throw data(null, { status: 404 })
  const { lane, rating, show, filter } = await openLane(request, context, shop, params.review)
  const spoken = {
    now: context.elogio.now(),
    timeZone: shop.timeZone,
    locale: shop.locale,
    today: say('today'),
  }
  const { review, signals, proof } = view
  return {
    ...view,
    search: { lane, rating, show },
    locale: shop.locale,
    when: spokenMoment(review.receivedAt, spoken),
    proof: proof && { ...proof, delivered: spokenMoment(proof.deliveredAt, spoken) },
    history: view.history.map((entry) => ({
      ...entry,
      who: entry.memberId === member.id ? say('decide.you') : (entry.memberName ?? ''),
      when: spokenMoment(entry.at, spoken),
    })),
    likely: likelyAct({ ...review, kinds: signals.map(({ kind }) => kind) }),
    neighbours: await context.elogio.neighbours(shop, filter, review.id),
    lastAct: await context.elogio.latestOwnAct(shop, member),
  }
}

const decision = z.object({ act: z.enum(acts), revision: z.coerce.number().int() })

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  const { act, revision } = await readForm(request, decision)
  const { lane, rating, show, filter } = await openLane(request, context, shop, params.review)
  const result = await context.elogio.decide(shop, member, params.review, act, revision)
  if (result.outcome === 'gone') return { problem: say('decide.gone') }
  if (result.outcome !== 'done') {
    const words = { name: result.authorName, state: say(`state.${result.state}`).toLowerCase() }
    return { problem: say(`decide.${result.outcome}`, words) }
  }
  const { after, before } = await context.elogio.neighbours(shop, filter, result.review.id)
  return redirect(queuePath(shop.slug, (after ?? before)?.publicId ?? null, { lane, rating, show }))
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export default function Review({ loaderData, params }: Route.ComponentProps) {
  const { review, signals, proof, productTally, earlier, standsIn, history, locale, when } = loaderData
  return (
    <article className="flex min-h-0 min-w-0 flex-col" aria-labelledby="writer" key={review.publicId}>
      <div className="min-h-0 flex-1 overflow-y-auto px-9 py-6 -outline-offset-2" tabIndex={0}>
        <ReviewWords
          review={review}
          signals={signals}
          productTally={productTally}
          locale={locale}
          when={when}
        />
        <div className="mt-4 flex flex-col gap-4">
          <Why state={review.state} score={review.score} signals={signals} />
          <ReviewFacts
            shop={params.shop}
            review={review}
            proof={proof}
            earlier={earlier}
            standsIn={standsIn}
          />
          <History entries={history} />
        </div>
      </div>
      <ActBar
        shop={params.shop}
        review={review}
        search={loaderData.search}
        likely={loaderData.likely}
        neighbours={loaderData.neighbours}
        lastAct={loaderData.lastAct}
      />
    </article>
  )
}

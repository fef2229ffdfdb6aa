import { data, Form, Link, redirect, useNavigation } from 'react-router'
import { z } from 'zod'
import { say } from '../../core/messages/say/listings'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import { waitWords } from '../waitWords'
import { refusalText } from './listingWords'
import { MatchColumns } from './MatchColumns'
import { matchingField } from './sheetFields'
import type { Route } from './+types/columns'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member } = await requireShop(request, context, params.shop, 'imports')
  const wait = await context.throttle.lookUp(member.id)
  if (wait !== null) return { problem: waitWords(wait), view: null, locale: shop.locale }
  const view = await context.elogio.sheetView(shop, params.listing)
  if (!view) throw data(null, { status: 404 })
  if ('refusal' in view) return { problem: refusalText(view.refusal, null), view: null, locale: shop.locale }
  return { problem: null, view, locale: shop.locale }
}

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'imports')
  const { matching } = readForm(context, z.object({ matching: matchingField }))
  if (!(await context.elogio.matchSheet(shop, params.listing, matching))) throw data(null, { status: 404 })
  return redirect(`/s/${shop.slug}/gather/listings/${params.listing}`)
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** Matches the columns of a connected sheet anew. */
export default function Columns({ loaderData: { view, problem, locale }, params }: Route.ComponentProps) {
  const isBusy = useNavigation().state !== 'idle'
  const back = `/s/${params.shop}/gather/listings/${params.listing}`
  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-4 py-6 lg:px-6">
      <title>{`${say('listings.sheet.change')} · Elogio`}</title>
      <div className="flex max-w-form flex-col gap-4">
        <Link to={back} className="part self-start">
          {view?.name ?? say('listings.back')}
        </Link>
        <h1>{say('listings.sheet.change')}</h1>
        {problem && <p className="font-semibold text-plum">{problem}</p>}
        {view && (
          <Form method="post" className="panel flex flex-col gap-4 px-5 py-5">
            <MatchColumns sheet={view.sheet} start={view.matching} locale={locale} />
            <button className="btn btn-primary self-start" aria-busy={isBusy}>
              {say('listings.sheet.save')}
            </button>
          </Form>
        )}
      </div>
    </main>
  )
}

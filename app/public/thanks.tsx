import { data } from 'react-router'
import { thanksPage } from './formRequests'
import { ShopSheet } from './ShopSheet'
import { useSpeech } from './speech'
import { Thanked } from './Thanked'
import type { Route } from './+types/thanks'

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await context.elogio.openForm(params.slug)
  const page = found && (await thanksPage(found, { request, context }))
  if (!page) throw data(null, { status: 404 })
  return page
}

export default function Thanks({ loaderData }: Route.ComponentProps) {
  const { shop, speech } = loaderData
  const translate = useSpeech(speech)
  return (
    <ShopSheet shop={shop} title={translate('form.thanks.title')} translate={translate}>
      <Thanked {...loaderData} />
    </ShopSheet>
  )
}

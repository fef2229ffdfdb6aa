import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { data, Form, redirect } from 'react-router'
import { brandShades } from '../../core/display/brand'
import { OwnWords } from './OwnWords'
import { ShopSheet } from './ShopSheet'
import { useSpeech } from './speech'
import { speechFor, withLanguage } from './speechFor'
import type { Route } from './+types/confirm'

/** Mail scanners open every link, so opening this one does nothing. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await context.elogio.confirmView(params.token)
  if (!found) throw data(null, { status: 404 })
  const { shop, review, confirmed } = found
  const { title, body, rating, authorName, productTitle, source } = review
  return {
    speech: speechFor(request, shop),
    shop: { name: shop.name, shortName: shop.shortName, logo: shop.logo, shades: brandShades(shop.brand) },
    words: { title, body, rating, authorName, productTitle },
    asked: sourcePolicies[source].typedBy === 'shop',
    confirmed,
  }
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const own = await context.elogio.confirmEmail(params.token)
  if (!own) throw data(null, { status: 404 })
  return redirect(withLanguage(`/r/${own}?thanks`, request))
}

export default function Confirm({
  loaderData: { shop, speech, words, asked, confirmed },
}: Route.ComponentProps) {
  const translate = useSpeech(speech)
  return (
    <ShopSheet shop={shop} title={translate('confirm.title')} translate={translate}>
      <meta name="robots" content="noindex" />
      <meta name="referrer" content="no-referrer" />
      <h1 className="text-[26px]">{translate('confirm.title')}</h1>
      <p className="mt-2 text-[15px]">
        {confirmed
          ? translate('confirm.again')
          : translate(asked ? 'confirm.introAsk' : 'confirm.intro', { shop: shop.shortName })}
      </p>
      <OwnWords words={words} />
      <Form method="post" className="mt-6">
        <button className="btn h-12 border-0 bg-(--shop-button) px-6 text-[15px] text-white hover:brightness-110">
          {translate(confirmed ? 'confirm.toOwn' : 'confirm.button')}
        </button>
      </Form>
    </ShopSheet>
  )
}

export { LinkGone as ErrorBoundary } from './LinkGone'

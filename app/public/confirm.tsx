import { data, Form, redirect } from 'react-router'
import { brandShades } from '../../core/display/brand'
import { say } from '../../core/words/say'
import { OwnWords } from './OwnWords'
import { ShopSheet } from './ShopSheet'
import type { Route } from './+types/confirm'

/** Mail scanners open every link, so opening this one does nothing. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const found = await context.elogio.confirmView(params.token)
  if (!found) throw data(null, { status: 404 })
  const { shop, review, confirmed } = found
  const { title, body, rating, authorName, productTitle, source } = review
  return {
    shop: { name: shop.name, shortName: shop.shortName, logo: shop.logo, shades: brandShades(shop.brand) },
    words: { title, body, rating, authorName, productTitle },
    asked: source === 'manualEntry',
    confirmed,
  }
}

export async function action({ params, context }: Route.ActionArgs) {
  const own = await context.elogio.confirmMailbox(params.token)
  if (!own) throw data(null, { status: 404 })
  return redirect(`/r/${own}?thanks`)
}

export default function Confirm({ loaderData: { shop, words, asked, confirmed } }: Route.ComponentProps) {
  return (
    <ShopSheet shop={shop} title={say('confirm.title')}>
      <meta name="robots" content="noindex" />
      <meta name="referrer" content="no-referrer" />
      <h1 className="text-[26px]">{say('confirm.title')}</h1>
      <p className="mt-2 text-[15px]">
        {confirmed
          ? say('confirm.again')
          : say(asked ? 'confirm.introAsk' : 'confirm.intro', { shop: shop.shortName })}
      </p>
      <OwnWords words={words} />
      <Form method="post" className="mt-6">
        <button className="btn h-12 border-0 bg-(--shop-button) px-6 text-[15px] text-white hover:brightness-110">
          {say(confirmed ? 'confirm.toOwn' : 'confirm.button')}
        </button>
      </Form>
    </ShopSheet>
  )
}

export { LinkGone as ErrorBoundary } from './LinkGone'

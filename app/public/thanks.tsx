import { data } from 'react-router'
import { brandShades } from '../../core/display/brand'
import type { CustomerKey } from '../../core/messages/customers/customerMessages'
import { ShopSheet } from './ShopSheet'
import { useSpeech } from './speech'
import { speechFor } from './speechFor'
import type { Route } from './+types/thanks'

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await context.elogio.openForm(params.slug)
  const publicId = new URL(request.url).searchParams.get('of') ?? ''
  const received = found && (await context.elogio.thanksFor(found, publicId))
  if (!received) throw data(null, { status: 404 })
  const { name, shortName, logo, brand } = found.shop
  return {
    received,
    speech: speechFor(request, found.shop),
    thanks: found.design.thanks,
    shop: { name, shortName, logo, shades: brandShades(found.design.colour || brand) },
  }
}

type NextStep = Extract<CustomerKey, `form.thanks.${string}`>

/** What happens next. What the writer has to do comes first. */
function nextSteps({
  state,
  showable,
  confirm,
  unconfirmed,
}: Route.ComponentProps['loaderData']['received']): NextStep[] {
  if (state === 'spam') return ['form.thanks.spam']
  if (!showable) return ['form.thanks.only']
  if (confirm && unconfirmed) return ['form.thanks.confirmFirst', 'form.thanks.next', 'form.thanks.shown']
  const looks: NextStep[] = state === 'held' ? ['form.thanks.held'] : []
  return ['form.thanks.next', ...looks, 'form.thanks.shown']
}

export default function Thanks({ loaderData: { received, thanks, shop, speech } }: Route.ComponentProps) {
  const translate = useSpeech(speech)
  const { heading, text, link } = thanks
  return (
    <ShopSheet shop={shop} title={translate('form.thanks.title')} translate={translate}>
      <h1 className="text-[26px]" dir="auto">
        {heading || translate('form.thanks.title')}
      </h1>
      {text && (
        <p className="mt-2 text-[17px] whitespace-pre-line" dir="auto">
          {text}
        </p>
      )}
      <p className="mt-2 text-[17px]">{translate('form.thanks.kept', { shop: shop.name })}</p>
      <ul className="mt-4 flex flex-col gap-2 text-[15px]">
        {received.confirm && <li className="font-semibold">{translate('form.thanks.confirm')}</li>}
        {nextSteps(received).map((key) => (
          <li key={key}>{translate(key, { shop: shop.shortName })}</li>
        ))}
        {!received.confirm && <li className="text-soft">{translate('form.thanks.mail')}</li>}
      </ul>
      {link.words.trim() && link.url && (
        <a href={link.url} className="btn mt-6 border-0 bg-(--shop-button) px-6 text-[15px] text-white">
          {link.words.trim()}
        </a>
      )}
    </ShopSheet>
  )
}

import './card.css'
import { ArrowLeft, Printer } from 'lucide-react'
import { useState } from 'react'
import { data, Link, useSearchParams } from 'react-router'
import { renderSVG } from 'uqr'
import { sheetLook } from '../../core/form/sheetLook'
import { customerTranslate } from '../../core/messages/customers'
import { customerLanguage } from '../../core/messages/customers/languages'
import { say } from '../../core/messages/say/forms'
import { requireShop } from '../account/session'
import { ProductSelect } from '../components/ProductSelect'
import type { Route } from './+types/card'

/** The address of a form as a picture, and what a printed card says. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const view = await context.elogio.formView(shop, params.form)
  if (!view || view.state === 'draft') throw data(null, { status: 404 })
  const product = new URL(request.url).searchParams.get('product') ?? ''
  const products = await context.elogio.productChoices(shop, [product])
  const chosen = products.products.find(({ sku }) => sku === product)
  const address = chosen ? `${view.address}?product=${encodeURIComponent(chosen.sku)}` : view.address
  const translate = customerTranslate(customerLanguage(shop.locale) ?? 'en')
  return {
    name: view.name,
    products,
    product: chosen?.sku ?? '',
    address,
    // The border is part of the code: readers need it.
    code: renderSVG(address, { ecc: 'M', border: 4, pixelSize: 8 }),
    shop: { name: shop.name, logo: shop.logo, colour: sheetLook(view.draft, shop.brand).button },
    heading: view.draft.heading || translate('form.heading'),
    scan: translate('form.scan'),
    lang: customerLanguage(shop.locale) ?? 'en',
  }
}

/** How many are on a page. */
const sizes = { one: 1, four: 4, strip: 5 } as const
type Size = keyof typeof sizes

/** A card with the code of the form, to print. */
export default function Card({ loaderData, params }: Route.ComponentProps) {
  const { address, code, shop, scan, lang } = loaderData
  const [, setSearch] = useSearchParams()
  const [size, setSize] = useState<Size>('one')
  const [words, setWords] = useState(loaderData.heading)
  const shown = address.replace(/^https?:\/\//, '')
  return (
    <div className="min-h-dvh bg-chalk print:bg-white">
      <title>{`${say('forms.card')} · Elogio`}</title>
      <header className="flex flex-wrap items-end gap-x-5 gap-y-3 border-b border-line bg-paper px-6 py-3 print:hidden">
        <Link
          to={`/s/${params.shop}/gather/forms/${params.form}`}
          className="inline-flex min-h-9 items-center gap-1 text-petrol underline"
        >
          <ArrowLeft className="size-4" aria-hidden="true" />
          {loaderData.name}
        </Link>
        <label className="flex min-w-60 flex-1 flex-col gap-1">
          <span className="text-[13px] text-soft">{say('forms.cardWords')}</span>
          <input
            value={words}
            maxLength={80}
            onChange={(event) => setWords(event.currentTarget.value)}
            className="input w-full border-edge"
          />
        </label>
        <label className="flex flex-col gap-1">
          <span className="text-[13px] text-soft">{say('forms.cardSize')}</span>
          <select
            value={size}
            onChange={(event) => setSize(event.currentTarget.value as Size)}
            className="select w-56 border-edge"
          >
            {(Object.keys(sizes) as Size[]).map((one) => (
              <option key={one} value={one}>
                {say(`forms.cardSizes.${one}`)}
              </option>
            ))}
          </select>
        </label>
        {loaderData.products.products.length > 0 && (
          <label className="flex flex-col gap-1">
            <span className="text-[13px] text-soft">{say('forms.cardAbout')}</span>
            <ProductSelect
              choices={loaderData.products}
              value={loaderData.product}
              none={say('forms.cardAny')}
              choose={(product) => setSearch(product === '' ? {} : { product })}
              className="w-56"
            />
          </label>
        )}
        <button type="button" className="btn btn-primary" onClick={() => print()}>
          <Printer className="size-4" aria-hidden="true" />
          {say('forms.print')}
        </button>
      </header>
      <main className={`printed printed-${size}`} lang={lang}>
        {Array.from({ length: sizes[size] }, (_, i) => (
          <article key={i} className="printed-card" aria-hidden={i > 0}>
            <header>
              {shop.logo && <img src={shop.logo} alt="" />}
              {shop.name}
            </header>
            <h1 dir="auto" style={{ color: shop.colour }}>
              {words}
            </h1>
            <div className="printed-code" dangerouslySetInnerHTML={{ __html: code }} />
            <p>
              {scan}
              <b>{shown}</b>
            </p>
          </article>
        ))}
      </main>
    </div>
  )
}

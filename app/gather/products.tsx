import { ExternalLink } from 'lucide-react'
import { useRef } from 'react'
import { data, Link, useFetcher } from 'react-router'
import { z } from 'zod'
import { spokenMoment } from '../../core/formats/dates'
import { productFieldsSchema } from '../../core/intake/productFields'
import { messageCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/products'
import { PRODUCTS_OF_PAGE } from '../../core/intake/productFields'
import type { ListedProduct } from '../../server/data/products'
import { requireShop } from '../account/session'
import { Mistake } from '../components/Field'
import { PageLinks } from '../components/PageLinks'
import { pageIn } from '../components/pageIn'
import { SearchBox } from '../components/SearchBox'
import { orOffline } from '../offline'
import { formFields, readForm } from '../readForm'
import { ProductChanged } from './ProductChanged'
import { undoAnswer, type ProductAnswer } from './productAnswers'
import type { Route } from './+types/products'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'products')
  const { searchParams } = new URL(request.url)
  const { changes, ...view } = await context.elogio.productsView(shop, pageIn(searchParams))
  const spoken = {
    now: context.elogio.now(),
    timeZone: shop.timeZone,
    locale: shop.locale,
    today: say('today'),
  }
  return {
    ...view,
    now: spoken.now,
    changes: changes.map((change) => ({ ...change, when: spokenMoment(change.at, spoken) })),
  }
}

const sent = z.object({ intent: z.enum(['add', 'undo']), change: z.string().max(40).default('') })

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop, 'products')
  const { intent, change } = readForm(context, sent)
  if (intent === 'undo') return undoAnswer(await context.elogio.undoProductChange(shop, actor, change))
  const form = productFieldsSchema.safeParse(formFields(context))
  if (!form.success) return data({ errors: form.error.flatten().fieldErrors }, { status: 422 })
  const result = await context.elogio.addProduct(shop, actor, form.data)
  if (result.outcome === 'skuTaken')
    return data(
      { errors: { sku: [messageCode('products.error.skuTaken', { title: result.title })] } },
      { status: 422 },
    )
  if (result.outcome !== 'done') throw data(null, { status: 400 })
  return { done: say('products.done.add', result), change: result.change }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

const FROM_HERE_FINDABLE = 8

/** The products of the shop, and a line for adding one. */
export default function Products({ loaderData, params }: Route.ComponentProps) {
  const { products, changes, count, total } = loaderData
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto px-4 py-6 lg:px-6">
      <title>{`${say('products.title')} · Elogio`}</title>
      <div className="max-w-page">
        <h1>{say('products.title')}</h1>
        <AddProduct />
        <ProductChanged changes={changes} now={loaderData.now} />
        {total === 0 ? (
          <p className="mt-6 text-soft">{say('products.none')}</p>
        ) : (
          <>
            <div className="mt-6 flex flex-wrap items-center justify-between gap-x-4 gap-y-2 px-[18px] pb-2">
              <h2 className="text-soft">{say('products.some', { count: total })}</h2>
              {total >= FROM_HERE_FINDABLE && <SearchBox label={say('products.find')} />}
            </div>
            {count === 0 ? (
              <p className="px-[18px] text-soft">{say('products.noneFound')}</p>
            ) : (
              <ul className="panel divide-y divide-line">
                {products.map((product) => (
                  <Row key={product.publicId} shop={params.shop} product={product} />
                ))}
              </ul>
            )}
            <PageLinks count={count} ofPage={PRODUCTS_OF_PAGE} />
          </>
        )}
      </div>
    </main>
  )
}

function Row({ shop, product }: { shop: string; product: ListedProduct }) {
  const { publicId, title, sku, picture, pageUrl, approved: reviews, retired } = product
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 px-[18px] py-2.5">
      {picture ? (
        <img src={`/media/${picture}`} alt="" className="size-9 shrink-0 rounded-md" />
      ) : (
        <span className="size-9 shrink-0 rounded-md border border-dashed border-edge" aria-hidden="true" />
      )}
      <span className="min-w-0 flex-1 basis-24 break-words">
        <b className="font-semibold">{title}</b>{' '}
        <span className="text-soft">
          {sku}
          {retired && ` · ${say('products.retired')}`}
        </span>
      </span>
      {pageUrl && (
        <a
          href={pageUrl}
          target="_blank"
          rel="noreferrer"
          className="inline-flex min-h-6 items-center gap-1 text-petrol underline"
        >
          {say('products.toPage')}
          <ExternalLink className="size-3.5" aria-hidden="true" />
        </a>
      )}
      {reviews > 0 ? (
        <Link
          to={`/s/${shop}/decide?lane=approved&product=${encodeURIComponent(sku)}`}
          className="min-h-6 text-petrol underline lg:w-24 lg:text-right"
        >
          {say('products.reviews', { count: reviews })}
        </Link>
      ) : (
        <span className="text-soft lg:w-24 lg:text-right">{say('products.noReviews')}</span>
      )}
      <Link
        to={`/s/${shop}/gather/products/${publicId}`}
        className="btn btn-quiet"
        aria-label={say('products.edit', { title })}
      >
        {say('products.editShort')}
      </Link>
    </li>
  )
}

/** Enter adds the product, and the next one can be typed at once. */
function AddProduct() {
  const fetcher = useFetcher<ProductAnswer>()
  const form = useRef<HTMLFormElement>(null)
  const answer = fetcher.data
  const errors = answer && 'errors' in answer ? answer.errors : {}
  const added = answer && 'done' in answer ? answer.change : ''
  const field = 'input w-full border-edge text-[15px]'
  return (
    <fetcher.Form method="post" className="panel mt-4 px-[18px] py-4" ref={form} key={added}>
      <input type="hidden" name="intent" value="add" />
      <div className="flex flex-wrap items-start gap-3">
        <label className="min-w-48 flex-[2]">
          <span className="flex justify-between gap-2 pb-1">
            <b className="font-semibold">{say('products.name')}</b>
            <span className="text-[12.5px] text-soft">{say('products.nameHint')}</span>
          </span>
          <input name="title" required maxLength={200} className={field} autoFocus={added !== ''} />
          <Mistake errors={errors.title} />
        </label>
        <label className="min-w-40 flex-1">
          <span className="flex justify-between gap-2 pb-1">
            <b className="font-semibold">{say('products.sku')}</b>
            <span className="text-[12.5px] text-soft">{say('form.optional')}</span>
          </span>
          <input name="sku" maxLength={100} className={field} autoComplete="off" />
          <Mistake errors={errors.sku} />
        </label>
        <button className="btn btn-primary self-end">{say('products.add')}</button>
      </div>
      <p className="mt-2 text-[13px] text-soft">{say('products.skuHint')}</p>
    </fetcher.Form>
  )
}

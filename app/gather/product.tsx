import { ProductSelect } from '../components/ProductSelect'
import { ArrowLeft } from 'lucide-react'
import { useState } from 'react'
import { data, Link, redirect, useFetcher } from 'react-router'
import { z } from 'zod'
import { productFieldsSchema } from '../../core/intake/productFields'
import { writersChoices, writersSchema } from '../../core/intake/writers'
import { messageCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/products'
import { requireShop } from '../account/session'
import { Field } from '../components/Field'
import { PictureField } from '../components/PictureField'
import { Problem } from '../components/Problem'
import { orOffline } from '../offline'
import { SelectLine } from '../show/SelectLine'
import { formFields, readForm } from '../readForm'
import type { ProductAnswer } from './productAnswers'
import type { Route } from './+types/product'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'products')
  const view = await context.elogio.productView(shop, params.product)
  if (!view) throw data(null, { status: 404 })
  return view
}

const sent = z.object({
  intent: z.enum(['edit', 'retire', 'offer', 'merge', 'writers']),
  into: z.string().max(40).default(''),
  /** Empty is what the form says. */
  writers: z.union([z.literal(''), writersSchema]).default(''),
})

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop, 'products')
  const { intent, into, writers } = readForm(context, sent)
  const { elogio } = context
  if (intent === 'writers') {
    if (!(await elogio.setProductWriters(shop, params.product, writers || null)))
      throw data(null, { status: 404 })
    return null
  }
  const change = async () => {
    if (intent === 'merge') return elogio.mergeProducts(shop, actor, params.product, into)
    if (intent !== 'edit') return elogio.retireProduct(shop, actor, params.product, intent === 'retire')
    const form = productFieldsSchema.safeParse(formFields(context))
    if (!form.success) return { outcome: 'errors' as const, errors: form.error.flatten().fieldErrors }
    return elogio.editProduct(shop, actor, params.product, form.data)
  }
  const result = await change()
  switch (result.outcome) {
    case 'done':
      return redirect(`/s/${shop.slug}/gather/products`)
    case 'errors':
      return data({ errors: result.errors }, { status: 422 })
    case 'skuTaken':
      return data(
        { errors: { sku: [messageCode('products.error.skuTaken', { title: result.title })] } },
        { status: 422 },
      )
    default:
      return data({ problem: say(`products.error.${result.outcome}`) }, { status: 422 })
  }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** Renames a product, changes its picture, SKU and page, takes it off the form, or merges it. */
export default function ProductPage({ loaderData, params }: Route.ComponentProps) {
  const { product, others } = loaderData
  const fetcher = useFetcher<ProductAnswer>()
  const answer = fetcher.data
  const errors = answer && 'errors' in answer ? answer.errors : {}
  const [picture, setPicture] = useState(product.picture ? `/media/${product.picture}` : '')
  const list = `/s/${params.shop}/gather/products`
  const field = 'input w-full border-edge text-[15px]'
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto px-4 py-6 lg:px-6">
      <title>{`${product.title} · Elogio`}</title>
      <div className="flex max-w-form flex-col gap-5">
        <div>
          <Link to={list} className="inline-flex min-h-6 items-center gap-1 text-petrol underline">
            <ArrowLeft className="size-4" aria-hidden="true" />
            {say('products.back')}
          </Link>
          <h1 className="mt-2 break-words">{product.title}</h1>
          <Problem text={answer && 'problem' in answer ? answer.problem : null} />
        </div>
        <fetcher.Form method="post" className="panel flex flex-col gap-4 px-5 py-5">
          <Field
            name="title"
            label={say('products.name')}
            hint={say('products.nameHint')}
            errors={errors.title}
          >
            {(attributes) => (
              <input
                name="title"
                {...attributes}
                defaultValue={product.title}
                required
                maxLength={200}
                className={field}
              />
            )}
          </Field>
          <Field name="sku" label={say('products.sku')} hint={say('products.skuChanged')} errors={errors.sku}>
            {(attributes) => (
              <input
                name="sku"
                {...attributes}
                defaultValue={product.sku}
                maxLength={100}
                className={field}
              />
            )}
          </Field>
          <Field
            name="page_url"
            label={say('products.page')}
            hint={say('products.pageHint')}
            errors={errors.page_url}
          >
            {(attributes) => (
              <input
                name="page_url"
                {...attributes}
                inputMode="url"
                placeholder="https://"
                defaultValue={product.pageUrl}
                className={field}
              />
            )}
          </Field>
          <PictureField
            name="picture"
            label={say('products.picture')}
            hint={say('products.nameHint')}
            value={picture}
            change={setPicture}
          />
          <div className="flex flex-wrap gap-3">
            <button name="intent" value="edit" className="btn btn-primary">
              {say('products.save')}
            </button>
            <Link to={list} className="btn btn-quiet">
              {say('products.cancel')}
            </Link>
          </div>
        </fetcher.Form>
        <fetcher.Form method="post" className="panel px-5 py-4">
          <input type="hidden" name="intent" value="writers" />
          <SelectLine
            label={say('products.writers')}
            value={product.writers ?? ''}
            choices={[
              ['', say('products.asTheForm')],
              ...writersChoices.map((one): [string, string] => [one, say(`products.writersChoice.${one}`)]),
            ]}
            choose={(writers) => void fetcher.submit({ intent: 'writers', writers }, { method: 'post' })}
          />
        </fetcher.Form>
        <fetcher.Form method="post" className="panel flex flex-wrap items-center gap-4 px-5 py-4">
          <p className="min-w-0 flex-1 basis-60 text-soft">
            {say(product.retired ? 'products.offerHint' : 'products.retireHint')}
          </p>
          <button name="intent" value={product.retired ? 'offer' : 'retire'} className="btn btn-quiet">
            {say(product.retired ? 'products.offer' : 'products.retire')}
          </button>
        </fetcher.Form>
        {others.products.length > 0 && (
          <fetcher.Form method="post" className="panel px-5 py-4">
            <h2 className="font-semibold">{say('products.mergeTitle')}</h2>
            <p className="mt-1 text-soft">{say('products.mergeHint')}</p>
            <div className="mt-3 flex flex-wrap items-end gap-3">
              <label className="min-w-0 flex-1 basis-60">
                <span className="block pb-1 text-soft">{say('products.mergeInto')}</span>
                <ProductSelect
                  name="into"
                  by="publicId"
                  choices={others}
                  value=""
                  none={say('products.mergeChoose')}
                  className="w-full"
                />
              </label>
              <button name="intent" value="merge" className="btn btn-quiet">
                {say('products.merge')}
              </button>
            </div>
          </fetcher.Form>
        )}
      </div>
    </main>
  )
}

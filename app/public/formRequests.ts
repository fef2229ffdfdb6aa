import { data, redirect, type AppLoadContext } from 'react-router'
import { couponOf } from '../../core/form/coupon'
import { plainTextOf } from '../../core/form/richText'
import { sheetLook } from '../../core/form/sheetLook'
import { designFor } from '../../core/form/neededFields'
import { designIn } from '../../core/form/translation'
import { submissionNames, submissionSchema } from '../../core/intake/submission'
import type { CustomerLanguage } from '../../core/messages/customers/languages'
import type { CustomerForm } from '../../server/collection/customerForm'
import type { ProductChoices } from '../../server/collection/productChoices'
import { onlyFields } from '../readForm'
import { speechFor, withLanguage } from './speechFor'
import { retryHeaders, submitReview } from './submitReview'

interface Asked {
  request: Request
  context: AppLoadContext
}

/** What the page of a form shows. */
export async function formPage(found: CustomerForm, { request, context }: Asked) {
  const { form, shop } = found
  const speech = speechFor(request, shop)
  const asked = new URL(request.url).searchParams.get('product') ?? ''
  const fixed = (await found.findProduct(found.design.product.fixed)) ?? (await found.findProduct(asked))
  const writers = fixed?.writers ?? form.writers
  const design = designIn(designFor(found.design, writers), speech.language)
  const suspicion = await context.throttle.suspicion(context.clientAddress, form.slug)
  return {
    speech,
    design,
    /** For search engines; empty for none. */
    description: plainTextOf(design.intro),
    version: form.version,
    open: found.isOpen,
    ...(await context.elogio.issueChallenge(found, suspicion)),
    shop: {
      name: shop.name,
      shortName: shop.shortName,
      logo: design.logo ? shop.logo : null,
      shades: sheetLook(design, shop.brand),
    },
    products: forCustomers(found.products),
    writers,
    fixedProduct: fixed ? { sku: fixed.sku, title: fixed.title, picture: fixed.picture } : null,
  }
}

/** The products of a field, without what is for members alone. */
export const forCustomers = ({ products, isPart }: ProductChoices) => ({
  products: products.map(({ sku, title }) => ({ sku, title })),
  isPart,
})

/**
 * Replaces what a customer has typed as the product by its SKU.
 * @returns what the form accepts from her
 */
async function schemaFor({ design, form, products, findProduct }: CustomerForm, sent: FormData) {
  const product = await findProduct(design.product.fixed || String(sent.get('product') ?? ''))
  if (product) sent.set('product', product.sku)
  return submissionSchema(
    { skus: product ? [product.sku] : [], any: products.products.length > 0 },
    designFor(design, product?.writers ?? form.writers),
  )
}

/** The page after a form; null if the address names no review of it. */
export async function thanksPage(found: CustomerForm, { request, context }: Asked) {
  const publicId = new URL(request.url).searchParams.get('of') ?? ''
  const received = await context.elogio.thanksFor(found, publicId)
  const { form, shop } = found
  const speech = speechFor(request, shop)
  const design = designIn(found.design, speech.language)
  return (
    received && {
      received,
      speech,
      thanks: design.thanks,
      coupon: couponOf(design),
      named: design.name.shown && design.name.required,
      passOnUrl: design.thanks.passOnUrl || shop.siteUrl || `${context.elogio.publicUrl}/f/${form.slug}`,
      shop: {
        name: shop.name,
        shortName: shop.shortName,
        logo: design.logo ? shop.logo : null,
        shades: sheetLook(design, shop.brand),
      },
    }
  )
}

interface Admitted {
  suspicion: Awaited<ReturnType<AppLoadContext['throttle']['suspicion']>>
  /** The seconds that this client has to wait; null if it may send now. */
  wait: number | null
}

/** Counts what a client sends through a form. */
export async function admit(
  { form }: CustomerForm,
  { throttle, clientAddress }: AppLoadContext,
): Promise<Admitted> {
  const suspicion = await throttle.suspicion(clientAddress, form.slug)
  return { suspicion, wait: await throttle.submit(clientAddress, form.slug) }
}

/** Receives a review through a form. */
export async function receiveForm(
  found: CustomerForm,
  { suspicion, wait }: Admitted,
  language: CustomerLanguage,
  context: AppLoadContext,
) {
  const { form, design } = found
  const { clientAddress, elogio } = context
  const sent = onlyFields(context, submissionNames(design))
  const schema = await schemaFor(found, sent)
  return submitReview(context, {
    sent,
    schema,
    wait,
    owner: form,
    hasLostPhotos: (value) => elogio.hasLostPhotos(found, value),
    store: (value) => elogio.submitForm(found, value, { ip: clientAddress, suspicion, language }),
  })
}

/** Leads whoever sent a review to the thanks; otherwise answers what is wrong. */
export async function sendForm(found: CustomerForm, { request, context }: Asked) {
  const { language } = speechFor(request, found.shop)
  const result = await receiveForm(found, await admit(found, context), language, context)
  if (result.outcome === 'refused') {
    const { reply, photos, status, retryAfter } = result
    return data({ reply, photos }, { status, headers: retryHeaders(retryAfter) })
  }
  const { pathname } = new URL(request.url)
  return redirect(
    withLanguage(`${pathname.replace('.data', '')}/thanks?of=${result.stored.publicId}`, request),
  )
}

import { parseWithZod } from '@conform-to/zod/v4'
import { data, redirect } from 'react-router'
import { brandShades } from '../../core/display/brand'
import { submissionSchema, VERSION_FIELD } from '../../core/intake/submission'
import { messageCode } from '../../core/messages/code'
import { onlyFields } from '../readForm'
import { storageFaultIn } from '../storageProblem'
import { waitCode } from '../waitCode'
import { FormFields } from './FormFields'
import { FormHead } from './FormHead'
import { ShopSheet } from './ShopSheet'
import { useSpeech } from './speech'
import { speechFor, withLanguage } from './speechFor'
import { mediaErrors, takePhotos } from './photos/takePhotos'
import type { Route } from './+types/form'

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await context.elogio.openForm(params.slug)
  if (!found) throw data(null, { status: 404 })
  const { form, shop, products } = found
  const fixed = found.productWithSku(new URL(request.url).searchParams.get('product') ?? '')
  return {
    speech: speechFor(request, shop),
    design: found.design,
    version: form.version,
    open: form.state === 'open',
    ...(await context.elogio.issueChallenge(
      found,
      await context.throttle.suspicion(context.clientAddress, params.slug),
    )),
    shop: {
      name: shop.name,
      shortName: shop.shortName,
      logo: shop.logo,
      shades: brandShades(found.design.colour || shop.brand),
    },
    products: products.map(({ sku, title }) => ({ sku, title })),
    fixedProduct: fixed ? { sku: fixed.sku, title: fixed.title, picture: fixed.picture } : null,
  }
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const version = Number(context.form?.get(VERSION_FIELD)) || undefined
  const found = await context.elogio.openForm(params.slug, version)
  if (found?.form.state !== 'open') throw data(null, { status: 404 })
  const schema = submissionSchema(found.skus, found.design)
  const { throttle, clientAddress } = context
  const sent = onlyFields(context, Object.keys(schema.shape))
  const suspicion = await throttle.suspicion(clientAddress, params.slug)
  const wait = await throttle.submit(clientAddress, params.slug)
  const { form, photos, problems } = await takePhotos(sent, context, found.form, { opening: wait === null })
  const submission = parseWithZod(form, { schema })
  if (wait !== null)
    return data(
      { reply: submission.reply({ formErrors: [waitCode(wait)] }), photos },
      { status: 429, headers: { 'Retry-After': String(wait) } },
    )
  if (submission.status !== 'success' || problems.length > 0)
    return data({ reply: submission.reply(mediaErrors(problems)), photos }, { status: 422 })
  if (await context.elogio.hasLostPhotos(found, submission.value))
    return data(
      { reply: submission.reply(mediaErrors([messageCode('photo.error.gone')])), photos },
      { status: 422 },
    )
  try {
    const { publicId } = await context.elogio.submitForm(found, submission.value, {
      ip: clientAddress,
      suspicion,
      language: speechFor(request, found.shop).language,
    })
    const { pathname } = new URL(request.url)
    return redirect(withLanguage(`${pathname.replace('.data', '')}/thanks?of=${publicId}`, request))
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    const reply = submission.reply({ formErrors: [messageCode('problem.notSaved')] })
    return data({ reply, photos }, { status: 503, headers: { 'Retry-After': '60' } })
  }
}

/** Passes on `Retry-After`. */
export function headers({ actionHeaders }: Route.HeadersArgs) {
  return actionHeaders
}

export default function CustomerForm({ loaderData, actionData, params }: Route.ComponentProps) {
  const { design, open, shop, speech } = loaderData
  const translate = useSpeech(speech)
  const heading = design.heading || translate('form.heading')
  return (
    <ShopSheet shop={shop} title={heading} description={design.intro || heading} translate={translate}>
      {open ? (
        <>
          <FormHead design={design} product={loaderData.fixedProduct} />
          <FormFields
            {...loaderData}
            address={`/f/${params.slug}/photo?lang=${speech.language}`}
            lastResult={actionData}
          />
        </>
      ) : (
        <>
          <h1 className="text-[26px]">{translate('form.closed')}</h1>
          <p className="mt-1 text-[15px] whitespace-pre-line text-soft">
            {design.closed || translate('form.closedHint', { shop: shop.shortName })}
          </p>
        </>
      )}
    </ShopSheet>
  )
}

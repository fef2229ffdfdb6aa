import { getFormProps, getInputProps, getSelectProps, useForm } from '@conform-to/react'
import { parseWithZod } from '@conform-to/zod/v4'
import { useRef, useState } from 'react'
import { data, Form, redirect } from 'react-router'
import { publicName } from '../../core/display/publicName'
import { brandShades } from '../../core/display/brand'
import { submissionFieldNames, submissionSchema, TRAP_FIELD } from '../../core/intake/submission'
import { WORK_FIELD } from '../../core/intake/suspicion'
import { messageCode } from '../../core/messages/code'
import { onlyFields } from '../readForm'
import { storageFaultIn } from '../storageProblem'
import { waitCode } from '../waitCode'
import { Labelled, Mistakes } from './Labelled'
import { RatingChoice } from './RatingChoice'
import { ShopSheet } from './ShopSheet'
import { useCodes, useSpeech, useTranslate } from './speech'
import { speechFor, withLanguage } from './speechFor'
import { PhotoField } from './photos/PhotoField'
import { mediaErrors, takePhotos } from './photos/takePhotos'
import { usePhotos } from './photos/usePhotos'
import { useTakeOver } from './useTakeOver'
import { useSendWhenReady } from './photos/useSendWhenReady'
import { WordsFields } from './WordsFields'
import { useWork } from './work/useWork'
import { AskConsent } from './AskConsent'
import { ConsentField } from './ConsentField'
import { Summary } from './Summary'
import type { Route } from './+types/form'

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await context.elogio.openForm(params.slug)
  if (!found) throw data(null, { status: 404 })
  const { form, shop, products } = found
  const fixed = found.productWithSku(new URL(request.url).searchParams.get('product') ?? '')
  return {
    speech: speechFor(request, shop),
    heading: form.heading,
    intro: form.intro,
    open: form.open,
    ...(await context.elogio.issueChallenge(
      found,
      await context.throttle.suspicion(context.clientAddress, params.slug),
    )),
    shop: { name: shop.name, shortName: shop.shortName, logo: shop.logo, shades: brandShades(shop.brand) },
    products: products.map(({ sku, title }) => ({ sku, title })),
    fixedProduct: fixed ? { sku: fixed.sku, title: fixed.title, picture: fixed.picture } : null,
  }
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const found = await context.elogio.openForm(params.slug)
  if (!found?.form.open) throw data(null, { status: 404 })
  const schema = submissionSchema(found.skus)
  const { throttle, clientAddress } = context
  const sent = onlyFields(context, submissionFieldNames)
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
    return redirect(withLanguage(`/f/${params.slug}/thanks?of=${publicId}`, request))
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
  const { intro, open, shop, speech } = loaderData
  const translate = useSpeech(speech)
  const heading = loaderData.heading || translate('form.heading')
  return (
    <ShopSheet shop={shop} title={heading} description={intro || heading} translate={translate}>
      {open ? (
        <>
          <h1 className="text-[26px] leading-tight">{heading}</h1>
          {intro && <p className="mt-1 text-[15px] text-soft">{intro}</p>}
          {loaderData.fixedProduct && (
            <p className="mt-3 flex items-center gap-3 text-[15px]">
              {loaderData.fixedProduct.picture && (
                <img
                  src={`/media/${loaderData.fixedProduct.picture}`}
                  alt=""
                  className="size-14 rounded-lg"
                />
              )}
              <b className="font-semibold">{loaderData.fixedProduct.title}</b>
            </p>
          )}
          <Fields
            loaderData={loaderData}
            address={`/f/${params.slug}/photo?lang=${speech.language}`}
            lastResult={actionData}
          />
        </>
      ) : (
        <>
          <h1 className="text-[26px]">{translate('form.closed')}</h1>
          <p className="mt-1 text-[15px] text-soft">
            {translate('form.closedHint', { shop: shop.shortName })}
          </p>
        </>
      )}
    </ShopSheet>
  )
}

function Fields({
  loaderData: { shop, products, fixedProduct, token, proofOfWork },
  address,
  lastResult,
}: {
  loaderData: Route.ComponentProps['loaderData']
  /** For uploads of photos. */
  address: string
  lastResult: Route.ComponentProps['actionData']
}) {
  const translate = useTranslate()
  const wordCode = useCodes()
  const photos = usePhotos(address, lastResult?.photos ?? [])
  const schema = submissionSchema(
    [...products, ...(fixedProduct ? [fixedProduct] : [])].map(({ sku }) => sku),
  )
  const [form, fields] = useForm({
    lastResult: lastResult?.reply,
    defaultValue: { product: fixedProduct?.sku ?? '' },
    shouldValidate: 'onBlur',
    shouldRevalidate: 'onInput',
    onValidate: ({ formData }) => parseWithZod(formData, { schema }),
  })
  // The computation belongs to this token, so both stay when the loader runs again.
  const [issued] = useState({ token, proofOfWork })
  const { pending, work } = useWork(issued.proofOfWork)
  const { send, waiting } = useSendWhenReady(photos.pending || pending)
  const shownName = publicName(fields.author_name.value ?? '')
  const [attempt, setAttempt] = useState(0)
  const refusal = form.errors?.map(wordCode).join(' ')
  const wasSent = attempt > 0 || lastResult !== undefined
  const mistaken = wasSent
    ? (
        [
          [fields.rating, 'form.rating'],
          [fields.product, 'form.product'],
          [fields.order_number, 'form.orderNumber'],
          [fields.title, 'form.title'],
          [fields.body, 'form.words'],
          [fields.media, 'photo.title'],
          [fields.author_name, 'form.name'],
          [fields.author_email, 'form.email'],
        ] as const
      ).flatMap(([field, label]) => (field.errors ? [{ id: field.id, label: translate(label) }] : []))
    : []
  const [consent, setConsent] = useState<'unasked' | 'asking' | 'asked'>('unasked')
  const box = useRef<HTMLInputElement>(null)
  const button = useRef<HTMLButtonElement>(null)
  useTakeOver(button)
  const isComplete = () => {
    const sent = button.current?.form
    return sent && parseWithZod(new FormData(sent), { schema }).status === 'success'
  }

  return (
    <Form
      method="post"
      encType="multipart/form-data"
      className="mt-4 flex flex-col gap-3"
      {...getFormProps(form)}
    >
      <input type="hidden" name={fields.token.name} value={issued.token} />
      <input type="hidden" name={WORK_FIELD} value={work} />
      <div className="absolute -left-[9999px]" aria-hidden="true">
        <label>
          {translate('form.trap')}
          <input name={TRAP_FIELD} tabIndex={-1} autoComplete="off" />
        </label>
      </div>
      <Summary fields={mistaken} text={refusal} attempt={attempt} />

      <RatingChoice field={fields.rating} />

      <div className="grid gap-4 sm:grid-cols-2 sm:gap-5">
        {fixedProduct ? (
          <input type="hidden" name="product" value={fixedProduct.sku} />
        ) : (
          <Labelled
            field={fields.product}
            label={translate('form.product')}
            hint={translate('form.optional')}
            light
          >
            <select
              {...getSelectProps(fields.product)}
              key={fields.product.key}
              className="select w-full border-edge text-[15px]"
            >
              <option value="">{translate('form.productNone')}</option>
              {products.map(({ sku, title }) => (
                <option key={sku} value={sku}>
                  {title}
                </option>
              ))}
            </select>
          </Labelled>
        )}
        <Labelled
          field={fields.order_number}
          label={translate('form.orderNumber')}
          hint={translate('form.optional')}
          light
        >
          <input
            {...getInputProps(fields.order_number, { type: 'text' })}
            key={fields.order_number.key}
            autoComplete="off"
            className="input w-full border-edge text-[15px]"
          />
        </Labelled>
      </div>

      <WordsFields title={fields.title} body={fields.body} />

      <PhotoField photos={photos} errors={fields.media.errors} />

      <div className="grid gap-4 sm:grid-cols-2 sm:gap-5">
        <Labelled
          field={fields.author_name}
          label={translate('form.name')}
          hint={shownName ? translate('form.shownAs', { name: shownName }) : translate('form.shownAsHint')}
        >
          <input
            {...getInputProps(fields.author_name, { type: 'text' })}
            key={fields.author_name.key}
            autoComplete="name"
            className="input w-full border-edge text-[15px]"
          />
        </Labelled>
        <Labelled
          field={fields.author_email}
          label={translate('form.email')}
          hint={translate('form.neverShown')}
        >
          <input
            {...getInputProps(fields.author_email, { type: 'email' })}
            key={fields.author_email.key}
            autoComplete="email"
            className="input w-full border-edge text-[15px]"
          />
        </Labelled>
      </div>

      <ConsentField field={fields.consent} box={box} shop={shop.shortName} />

      {consent === 'asking' && (
        <AskConsent
          shop={shop.shortName}
          answer={(given) => {
            if (box.current) box.current.checked = given
            setConsent('asked')
            button.current?.click()
          }}
        />
      )}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <button
          ref={button}
          onClick={(event) => {
            setAttempt(attempt + 1)
            if (consent === 'unasked' && !box.current?.checked && isComplete()) {
              event.preventDefault()
              setConsent('asking')
            } else send(event)
          }}
          className="btn h-12 border-0 bg-(--shop-button) px-6 text-[15px] text-white hover:brightness-110"
        >
          {translate('form.send')}
        </button>
        <span className="text-soft" role={waiting ? 'status' : undefined}>
          {waiting
            ? translate(photos.pending ? 'photo.pending' : 'form.working')
            : translate('form.next', { shop: shop.shortName })}
        </span>
      </div>
      <Mistakes field={fields.token} />
    </Form>
  )
}

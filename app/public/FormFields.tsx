import {
  getFormProps,
  getInputProps,
  useForm,
  type FieldMetadata,
  type SubmissionResult,
} from '@conform-to/react'
import { parseWithZod } from '@conform-to/zod/v4'
import { useRef, useState } from 'react'
import { Form } from 'react-router'
import { publicName } from '../../core/display/publicName'
import { answerField, askedQuestions } from '../../core/form/askedQuestions'
import { announcesCoupon } from '../../core/form/coupon'
import type { ShownDesign } from '../../core/form/translation'
import { submissionSchema, TRAP_FIELD, VERSION_FIELD } from '../../core/intake/submission'
import { WORK_FIELD } from '../../core/intake/suspicion'
import { Labelled, Mistakes } from './Labelled'
import { ProductField } from './ProductField'
import { QuestionField } from './QuestionField'
import { RatingChoice } from './RatingChoice'
import { useCodes, useTranslate } from './speech'
import { PhotoField } from './photos/PhotoField'
import { usePhotos, type KeptPhoto } from './photos/usePhotos'
import { useTakeOver } from './useTakeOver'
import { useSendWhenReady } from './photos/useSendWhenReady'
import { WordsFields } from './WordsFields'
import { useWork } from './work/useWork'
import { AskConsent } from './AskConsent'
import { ConsentField } from './ConsentField'
import { Summary } from './Summary'

interface Product {
  sku: string
  title: string
}

/** Everything that a customer fills in. */
export function FormFields({
  design,
  version,
  shop,
  products,
  fixedProduct,
  token,
  proofOfWork,
  address,
  findProducts,
  buyersOnly,
  lastResult,
}: {
  design: ShownDesign
  /** The number of the design, so that what is sent is read as it was asked for. */
  version: number
  shop: { shortName: string }
  products: { products: Product[]; isPart: boolean }
  fixedProduct: Product | null
  token: string
  proofOfWork: Parameters<typeof useWork>[0]
  /** For uploads of photos. */
  address: string
  /** Whether only verified buyers can write. */
  buyersOnly: boolean
  /** Where products are looked up; null in the editor of the form. */
  findProducts: string | null
  lastResult: { reply: SubmissionResult<string[]>; photos: KeptPhoto[] } | undefined
}) {
  const translate = useTranslate()
  const wordCode = useCodes()
  const photos = usePhotos(address, lastResult?.photos ?? [])
  const offered = [...products.products, ...(fixedProduct ? [fixedProduct] : [])]
  const schema = submissionSchema(
    {
      skus: products.isPart ? null : offered.map(({ sku }) => sku),
      any: offered.length > 0,
      buyersOnly,
    },
    design,
  )
  const questions = askedQuestions(design)
  const worded = ({ label }: { label: string }, usual: string) => label || usual
  const labels = {
    rating: worded(design.rating, translate('form.rating')),
    product: worded(design.product, translate('form.product')),
    order_number: worded(design.orderNumber, translate('form.orderNumber')),
    title: worded(design.title, translate('form.title')),
    body: worded(design.body, translate('form.words')),
    media: translate('photo.title'),
    author_name: worded(design.name, translate('form.name')),
    author_email: worded(design.email, translate('form.email')),
  }
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
  const all = fields as unknown as Record<string, FieldMetadata<string>>
  const labelled: [name: string, label: string][] = [
    ...Object.entries(labels),
    ...questions.map(({ id, label }): [string, string] => [answerField(id), label]),
  ]
  const mistaken = wasSent
    ? labelled.flatMap(([name, label]) => (all[name]?.errors ? [{ id: all[name].id, label }] : []))
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
      <input type="hidden" name={VERSION_FIELD} value={version} />
      <div className="absolute -left-[9999px]" aria-hidden="true">
        <label>
          {translate('form.trap')}
          <input name={TRAP_FIELD} tabIndex={-1} autoComplete="off" />
        </label>
      </div>
      <Summary fields={mistaken} text={refusal} attempt={attempt} />

      {buyersOnly && <p className="text-soft">{translate('form.buyersOnly', { shop: shop.shortName })}</p>}

      <RatingChoice field={fields.rating} legend={labels.rating} isShown={design.rating.label !== ''} />

      <div className="grid gap-4 empty:hidden sm:grid-cols-2 sm:gap-5">
        {fixedProduct ? (
          <input type="hidden" name="product" value={fixedProduct.sku} />
        ) : design.product.shown && products.products.length > 0 ? (
          <Labelled
            field={fields.product}
            label={labels.product}
            hint={design.product.required ? undefined : translate('form.optional')}
            light={!design.product.required}
            part="product"
          >
            <ProductField
              field={fields.product}
              {...products}
              required={design.product.required}
              address={findProducts}
            />
          </Labelled>
        ) : null}
        {(design.orderNumber.shown || buyersOnly) && (
          <Labelled
            field={fields.order_number}
            label={labels.order_number}
            hint={buyersOnly ? undefined : translate('form.optional')}
            light={!buyersOnly}
            part="orderNumber"
          >
            <input
              {...getInputProps(fields.order_number, {
                type: 'text',
                ariaDescribedBy: buyersOnly ? undefined : fields.order_number.descriptionId,
              })}
              key={fields.order_number.key}
              autoComplete="off"
              className="input w-full border-edge text-[15px]"
            />
          </Labelled>
        )}
      </div>

      <WordsFields title={fields.title} body={fields.body} design={design} labels={labels} />

      {questions.map((question) => (
        <QuestionField
          key={question.id}
          question={question}
          field={all[answerField(question.id)]!}
          shop={shop.shortName}
        />
      ))}

      {(design.photos.most > 0 || design.video.shown) && (
        <div data-part="photos">
          <PhotoField
            photos={photos}
            errors={fields.media.errors}
            most={design.photos.most}
            takesVideo={design.video.shown}
          />
        </div>
      )}

      <div className="grid gap-4 sm:grid-cols-2 sm:gap-5">
        <Labelled
          field={fields.author_name}
          label={labels.author_name}
          part="name"
          hint={shownName ? translate('form.shownAs', { name: shownName }) : translate('form.shownAsHint')}
        >
          <input
            {...getInputProps(fields.author_name, {
              type: 'text',
              ariaDescribedBy: fields.author_name.descriptionId,
            })}
            key={fields.author_name.key}
            autoComplete="name"
            className="input w-full border-edge text-[15px]"
          />
        </Labelled>
        <Labelled
          field={fields.author_email}
          label={labels.author_email}
          part="email"
          hint={translate('form.neverShown')}
        >
          <input
            {...getInputProps(fields.author_email, {
              type: 'email',
              ariaDescribedBy: fields.author_email.descriptionId,
            })}
            key={fields.author_email.key}
            autoComplete="email"
            className="input w-full border-edge text-[15px]"
          />
        </Labelled>
      </div>

      {announcesCoupon(design) && (
        <p className="text-[15px]" data-part="coupon">
          {translate('form.announce', { shop: shop.shortName })}
        </p>
      )}

      <ConsentField
        field={fields.consent}
        box={box}
        words={design.consent.label || translate('form.consent', { shop: shop.shortName })}
      />

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
          data-part="button"
          onClick={(event) => {
            setAttempt(attempt + 1)
            if (consent === 'unasked' && !box.current?.checked && isComplete()) {
              event.preventDefault()
              setConsent('asking')
            } else send(event)
          }}
          className="btn h-12 border-0 bg-(--shop-button) px-6 text-[15px] text-white hover:brightness-110"
        >
          {design.button || translate('form.send')}
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

import { getFormProps, useForm, type FieldMetadata, type SubmissionResult } from '@conform-to/react'
import { parseWithZod } from '@conform-to/zod/v4'
import { useState, type ComponentProps } from 'react'
import { Form } from 'react-router'
import { answerField, askedQuestions } from '../../core/form/askedQuestions'
import { announcesCoupon } from '../../core/form/coupon'
import { fieldNames, formFields, wordedFields } from '../../core/form/fields'
import type { ShownDesign } from '../../core/form/translation'
import { recordOf } from '../../core/formats/keysOf'
import { submissionSchema, TRAP_FIELD, VERSION_FIELD } from '../../core/intake/submission'
import type { Writers } from '../../core/intake/writers'
import { WORK_FIELD } from '../../core/intake/suspicion'
import { Mistakes } from './Labelled'
import { PhotoField } from './photos/PhotoField'
import { usePhotos, type KeptPhoto } from './photos/usePhotos'
import { useSendWhenReady } from './photos/useSendWhenReady'
import { QuestionField } from './QuestionField'
import { RatingChoice } from './RatingChoice'
import { SendFields } from './SendFields'
import { useCodes, useTranslate } from './speech'
import { SubjectFields } from './SubjectFields'
import { Summary } from './Summary'
import { WordsFields } from './WordsFields'
import { useWork } from './work/useWork'
import { WriterFields } from './WriterFields'

interface Given extends Pick<
  ComponentProps<typeof SubjectFields>,
  'products' | 'fixedProduct' | 'findProducts'
> {
  design: ShownDesign
  writers: Writers
  /** The number of the design, so that what is sent is read as it was asked for. */
  version: number
  shop: { shortName: string }
  token: string
  proofOfWork: Parameters<typeof useWork>[0]
  /** For uploads of photos. */
  address: string
  lastResult: { reply: SubmissionResult<string[]>; photos: KeptPhoto[] } | undefined
}

/** Everything that a customer fills in. */
export function FormFields(given: Given) {
  const { design, version, shop, writers, lastResult } = given
  const translate = useTranslate()
  const photos = usePhotos(given.address, lastResult?.photos ?? [])
  const { schema, form, fields, labels, all, mistaken, refusal } = useReviewForm(given)
  // The computation belongs to this token, so both stay when the loader runs again.
  const [issued] = useState({ token: given.token, proofOfWork: given.proofOfWork })
  const { pending, work } = useWork(issued.proofOfWork)
  const { send, waiting } = useSendWhenReady(photos.pending || pending)
  const [attempt, setAttempt] = useState(0)
  const wasSent = attempt > 0 || lastResult !== undefined

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
      <Summary fields={wasSent ? mistaken : []} text={refusal} attempt={attempt} />

      {writers === 'buyers' && (
        <p className="text-soft">{translate('form.buyersOnly', { shop: shop.shortName })}</p>
      )}

      {design.rating.shown && (
        <RatingChoice
          field={fields.rating}
          legend={labels.rating}
          isShown={design.rating.label !== ''}
          required={design.rating.required}
        />
      )}
      <SubjectFields {...given} fields={fields} labels={labels} />
      <WordsFields title={fields.title} body={fields.body} design={design} labels={labels} />

      {askedQuestions(design).map((question) => (
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

      <WriterFields fields={fields} design={design} labels={labels} />

      {announcesCoupon(design) && (
        <p className="text-[15px]" data-part="coupon">
          {translate('form.announce', { shop: shop.shortName })}
        </p>
      )}

      <SendFields
        shop={shop.shortName}
        field={fields.consent}
        agreed={design.consent.label || translate('form.consent', { shop: shop.shortName })}
        send={(event) => {
          setAttempt(attempt + 1)
          send(event)
        }}
        isComplete={(sent) => parseWithZod(new FormData(sent), { schema }).status === 'success'}
        status={waiting ? translate(photos.pending ? 'photo.pending' : 'form.working') : null}
        words={design.button || translate('form.send')}
      />
      <Mistakes field={fields.token} />
    </Form>
  )
}

/** The fields with their labels and what is wrong in them. */
function useReviewForm({ design, products, fixedProduct, lastResult }: Given) {
  const translate = useTranslate()
  const wordCode = useCodes()
  const offered = [...products.products, ...(fixedProduct ? [fixedProduct] : [])]
  const schema = submissionSchema(
    {
      skus: products.isPart ? null : offered.map(({ sku }) => sku),
      any: offered.length > 0,
    },
    design,
  )
  const [form, fields] = useForm({
    lastResult: lastResult?.reply,
    defaultValue: { product: fixedProduct?.sku ?? '' },
    shouldValidate: 'onBlur',
    shouldRevalidate: 'onInput',
    onValidate: ({ formData }) => parseWithZod(formData, { schema }),
  })
  const labels = {
    ...recordOf(wordedFields, (field) => design[field].label || translate(`form.${field}`)),
    photos: translate('photo.title'),
  }
  // Questions have fields that the type doesn't know.
  const all = fields as unknown as Record<string, FieldMetadata<string>>
  const labelled = [
    ...formFields.map((field) => ({ name: fieldNames[field], label: labels[field] })),
    ...askedQuestions(design).map(({ id, label }) => ({ name: answerField(id), label })),
  ]
  return {
    schema,
    form,
    fields,
    labels,
    all,
    mistaken: labelled.flatMap(({ name, label }) => (all[name]?.errors ? [{ id: all[name].id, label }] : [])),
    refusal: form.errors?.map(wordCode).join(' '),
  }
}

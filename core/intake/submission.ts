import { z } from 'zod'
import { messageCode } from '../messages/code'
import { answerFields } from '../form/answers'
import type { FormDesign } from '../form/design'
import type { AboutWriter } from './candidate'
import { recordOf } from '../formats/keysOf'
import { NAME_LIMIT } from './limits'
import { askedTexts, writerTexts, type AskedText } from './writerTexts'
import { WORK_FIELD } from './suspicion'
import { answerField, askedQuestions } from '../form/askedQuestions'
import { hasOptions } from '../form/choices'
import { MOST_PHOTO_BYTES, photoRefsUpTo } from './photos'

const ORDER_NUMBER_LIMIT = 60

/** The hidden field with the version of the design that the customer sees. */
export const VERSION_FIELD = 'form_version'
/** The hidden field; only scripts fill it in. */
export const TRAP_FIELD = 'website'

/** Browsers send line breaks as CRLF; the counter beside the field counts one character. */
const typedText = z
  .string({ error: messageCode('form.error.answer') })
  .transform((text) => text.replace(/\r\n?/g, '\n'))

const filled = (missing: string, limit: number) =>
  z
    .string({ error: missing })
    .refine((text) => text.trim().length > 0, { error: missing })
    .refine((text) => text.length <= limit, { error: messageCode('form.error.long', { limit }) })

const optional = (limit: number, least = 0, required = false) =>
  typedText
    .refine((text) => text.length <= limit, {
      error: (issue) => messageCode('form.error.longText', { over: String(issue.input).length - limit }),
    })
    .optional()
    .transform((text) => text ?? '')
    .refine((text) => !required || text.trim() !== '', { error: messageCode('form.error.answer') })
    .refine((text) => text.trim() === '' || text.trim().length >= least, {
      error: messageCode('form.error.short', { least }),
    })

/** What a form accepts beside its design. */
export interface Accepting {
  /** The products by SKU; null if the server finds out later. */
  skus: string[] | null
  /** Whether there are any products, so that one can be required. */
  any: boolean
  /** Whether only verified buyers can write, who need an order number. */
  buyersOnly: boolean
}

/** Whether a SKU is empty or among those given, whatever its case. */
export function isSkuAmong(skus: string[]): (sku: string) => boolean {
  const known = new Set(skus.map((sku) => sku.trim().toLowerCase()))
  return (sku) => sku === '' || known.has(sku.trim().toLowerCase())
}

/** The part of a design that says what is accepted. */
type AcceptingDesign = Pick<
  FormDesign,
  'title' | 'body' | 'product' | 'photos' | 'video' | 'questions' | AskedText
>

/** The fields of every form under their public names. Products are given by SKU. */
function ownFields({ skus, any, buyersOnly }: Accepting, design: AcceptingDesign) {
  const { title, body, product, photos, video } = design
  return {
    rating: z
      .string({ error: messageCode('form.error.rating') })
      .regex(/^[1-5]$/, { error: messageCode('form.error.ratingScale') })
      .transform(Number),
    title: optional(title.most),
    body: optional(body.most, body.least, body.required),
    author_name: filled(messageCode('form.error.name'), NAME_LIMIT),
    ...recordOf(askedTexts, (name) =>
      optional(writerTexts[name].limit, 0, design[name].shown && design[name].required).transform((text) =>
        design[name].shown ? text.trim() : '',
      ),
    ),
    author_email: z
      .string({ error: messageCode('form.error.email') })
      .trim()
      .max(254, { error: messageCode('form.error.long', { limit: 254 }) })
      .pipe(z.email({ error: messageCode('form.error.emailShape') })),
    order_number: buyersOnly
      ? filled(messageCode('form.error.orderNumber'), ORDER_NUMBER_LIMIT)
      : optional(ORDER_NUMBER_LIMIT),
    product: z
      .string()
      .optional()
      .transform((sku) => sku ?? '')
      .refine(skus === null ? () => true : isSkuAmong(skus), { error: messageCode('form.error.product') })
      .refine((sku) => !product.shown || !product.required || sku !== '' || !any, {
        error: messageCode('form.error.product'),
      }),
    consent: z
      .string()
      .optional()
      .transform((answer) => ['on', 'yes', 'true', '1'].includes((answer ?? '').toLowerCase())),
    media: photoRefsUpTo(photos.most + (video.shown ? 1 : 0)),
    token: z.string().max(500).optional(),
    [WORK_FIELD]: z.string().max(2000).optional(),
    [VERSION_FIELD]: z.coerce.number().int().optional().catch(undefined),
    [TRAP_FIELD]: z.string().optional(),
  }
}

/** All fields of a form, with its own questions. */
export function submissionSchema(accepting: Accepting, design: AcceptingDesign) {
  return z.object({ ...answerFields(design), ...ownFields(accepting, design) })
}

/** The names of all fields of a form. */
export const submissionNames = (design: AcceptingDesign): string[] =>
  Object.keys(submissionSchema({ skus: null, any: false, buyersOnly: false }, design).shape)

export type Submission = z.infer<z.ZodObject<ReturnType<typeof ownFields>>>
/** Fields that only describe the writer may be missing. */
export type SubmissionGiven = Omit<Submission, keyof AboutWriter> & Partial<Submission>

/** The fields in the form's JSON. */
export const submissionFields = (
  { title, body, product, orderNumber, photos, questions, ...design }: FormDesign,
  { buyersOnly }: Pick<Accepting, 'buyersOnly'>,
) => [
  { name: 'rating', required: true, minimum: 1, maximum: 5 },
  ...(title.shown ? [{ name: 'title', required: false, maxLength: title.most }] : []),
  { name: 'body', required: body.required, minLength: body.least, maxLength: body.most },
  { name: 'author_name', required: true, maxLength: NAME_LIMIT },
  ...askedTexts
    .filter((name) => design[name].shown)
    .map((name) => ({ name, required: design[name].required, maxLength: writerTexts[name].limit })),
  { name: 'author_email', required: true, maxLength: 254 },
  ...(orderNumber.shown || buyersOnly
    ? [{ name: 'order_number', required: buyersOnly, maxLength: ORDER_NUMBER_LIMIT }]
    : []),
  ...(product.shown ? [{ name: 'product', required: product.required }] : []),
  ...(photos.most > 0
    ? [{ name: 'media', required: false, most: photos.most, maxBytes: MOST_PHOTO_BYTES }]
    : []),
  { name: 'consent', required: false },
  ...askedQuestions({ questions }).map(({ id, label, kind, required, options, steps }) => ({
    name: answerField(id),
    label,
    kind,
    required,
    ...(hasOptions(kind) && { options }),
    ...(kind === 'scale' && { minimum: 1, maximum: steps }),
  })),
]

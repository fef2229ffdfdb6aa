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

/** Of a field that a form leaves out nothing is read, whatever is sent. */
const ifAsked = <T>(
  { shown }: Pick<Asked, 'shown'>,
  field: z.ZodType<T, string | undefined>,
  nothing: T,
): z.ZodType<T, string | undefined> =>
  shown
    ? field
    : z
        .string()
        .optional()
        .catch(undefined)
        .transform(() => nothing)

const line = (required: boolean, missing: string, limit: number) =>
  z
    .string({ error: missing })
    .refine((text) => text.length <= limit, { error: messageCode('form.error.long', { limit }) })
    .optional()
    .transform((text) => text ?? '')
    .refine((text) => !required || text.trim() !== '', { error: missing })

const ratingField = (required: boolean) =>
  z
    .string({ error: messageCode('form.error.rating') })
    .regex(/^[1-5]$/, { error: messageCode('form.error.ratingScale') })
    .optional()
    .transform((step) => (step === undefined ? null : Number(step)))
    .refine((step) => !required || step !== null, { error: messageCode('form.error.rating') })

const notAnAddress = { error: messageCode('form.error.emailShape') }
const emailField = (required: boolean) =>
  z
    .string({ error: messageCode('form.error.email') })
    .trim()
    .max(254, { error: messageCode('form.error.long', { limit: 254 }) })
    .pipe(z.union([z.literal(''), z.email(notAnAddress)], notAnAddress))
    .optional()
    .transform((address) => address ?? '')
    .refine((address) => !required || address !== '', { error: messageCode('form.error.email') })

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
}

interface Asked {
  shown: boolean
  required: boolean
}

/** Whether a SKU is empty or among those given, whatever its case. */
export function isSkuAmong(skus: string[]): (sku: string) => boolean {
  const known = new Set(skus.map((sku) => sku.trim().toLowerCase()))
  return (sku) => sku === '' || known.has(sku.trim().toLowerCase())
}

/** The part of a design that says what is accepted. */
type AcceptingDesign = Pick<
  FormDesign,
  | 'rating'
  | 'name'
  | 'email'
  | 'orderNumber'
  | 'title'
  | 'body'
  | 'product'
  | 'photos'
  | 'video'
  | 'questions'
  | AskedText
>

/** The fields of every form under their public names. Products are given by SKU. */
export function ownFields({ skus, any }: Accepting, design: AcceptingDesign) {
  const { rating, title, body, product, photos, video, name, email, orderNumber } = design
  return {
    rating: ifAsked(rating, ratingField(rating.required), null),
    title: optional(title.most),
    body: optional(body.most, body.least, body.required),
    author_name: ifAsked(name, line(name.required, messageCode('form.error.name'), NAME_LIMIT), ''),
    ...recordOf(askedTexts, (text) =>
      ifAsked(
        design[text],
        optional(writerTexts[text].limit, 0, design[text].required).transform((typed) => typed.trim()),
        '',
      ),
    ),
    author_email: ifAsked(email, emailField(email.required), ''),
    // Also read where the form does not show it: it proves a purchase.
    order_number: line(
      orderNumber.shown && orderNumber.required,
      messageCode('form.error.orderNumber'),
      ORDER_NUMBER_LIMIT,
    ),
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
  return z
    .object({ ...answerFields(design), ...ownFields(accepting, design) })
    .superRefine(needsRatingOrWords(design.rating))
}

/** What can be seen; not spaces, and no characters without width. */
const VISIBLE = /[\p{L}\p{N}\p{P}\p{S}]/u

/** A review says something: it has a rating, a title or a text. */
export const needsRatingOrWords =
  ({ shown, required }: Asked) =>
  (
    { rating, title, body }: { rating: number | null; title: string; body: string },
    context: z.core.$RefinementCtx,
  ) => {
    // A missing rating has a message of its own where it is required.
    if (rating !== null || (shown && required) || VISIBLE.test(`${title}${body}`)) return
    context.addIssue({
      code: 'custom',
      path: [shown ? 'rating' : 'body'],
      message: messageCode(shown ? 'form.error.ratingOrWords' : 'form.error.words'),
    })
  }

/** The names of all fields of a form. */
export const submissionNames = (design: AcceptingDesign): string[] =>
  Object.keys(submissionSchema({ skus: null, any: false }, design).shape)

export type Submission = z.infer<z.ZodObject<ReturnType<typeof ownFields>>>
/** Fields that only describe the writer may be missing. */
export type SubmissionGiven = Omit<Submission, keyof AboutWriter> & Partial<Submission>

/** The fields in the form's JSON. */
export const submissionFields = ({ title, body, product, photos, questions, ...design }: FormDesign) => [
  ...asked('rating', design.rating, { minimum: 1, maximum: 5 }),
  ...(title.shown ? [{ name: 'title', required: false, maxLength: title.most }] : []),
  { name: 'body', required: body.required, minLength: body.least, maxLength: body.most },
  ...asked('author_name', design.name, { maxLength: NAME_LIMIT }),
  ...askedTexts.flatMap((name) => asked(name, design[name], { maxLength: writerTexts[name].limit })),
  ...asked('author_email', design.email, { maxLength: 254 }),
  ...asked('order_number', design.orderNumber, { maxLength: ORDER_NUMBER_LIMIT }),
  ...asked('product', product, {}),
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

const asked = <Bounds extends object>(name: string, { shown, required }: Asked, bounds: Bounds) =>
  shown ? [{ name, required, ...bounds }] : []
